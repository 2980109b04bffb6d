'use client';

import { Archive, Redo2, Save, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, type Dispatch } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { FamilyName } from '@/core/studio';
import { attemptOrSay, Button, Choice, toast, useSpeech, useUndo } from '../base';
import { FamilyCount } from './family-sentence';
import type { useFamily } from './use-family';
import type { VariationActions } from './variation-actions';

type Use = ReturnType<typeof useFamily>;

/** The family's name and size, and what can be done with it as a whole. */
export function FamilyHeader({
  history,
  dispatch,
  families,
  actions,
  nothing,
}: {
  history: Use['history'];
  dispatch: Dispatch<Parameters<Use['dispatch']>[0]>;
  families: readonly FamilyName[];
  actions: VariationActions;
  nothing: boolean;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const router = useRouter();
  const [saving, setSaving] = useState(false);
  const { draft, saved, past, future } = history;
  const isSaved = saved !== null && saved.name === draft.name && saved.family === draft.family;

  async function save() {
    if (saving) return;
    const name = draft.name.trim() || say.t('screen.variations.variations');
    setSaving(true);
    const done = await attemptOrSay(() =>
      actions.save({ id: draft.id, name, family: draft.family }),
    );
    setSaving(false);
    if (!done) return;
    if (draft.name !== name) dispatch({ kind: 'edit', change: { name }, about: 'name' });
    dispatch({ kind: 'saved', draft: { ...draft, id: done.value.id, name } });
    toast.success(say.t('screen.common.savedAs', { name }));
  }

  async function archive() {
    const { id, name } = draft;
    if (!id || !(await attemptOrSay(() => actions.archive(id, true)))) return;
    router.push('/variations');
    undoable(say.t('screen.variations.archivedExercisesMadeOfItStay', { name }), async () => {
      if (await attemptOrSay(() => actions.archive(id, false))) {
        router.push(`/variations?f=${id}`);
      }
    });
  }

  useHotkeys('mod+s', () => void save(), { enableOnFormTags: true, preventDefault: true });

  return (
    <header className="flex flex-wrap items-center gap-x-2 gap-y-1 px-4 pt-3">
      <input
        aria-label={say.t('screen.variations.familyName')}
        className="title-field min-w-0 flex-1 font-serif text-xl"
        placeholder={say.t('screen.variations.newFamily')}
        maxLength={80}
        value={draft.name}
        onChange={(event) =>
          dispatch({ kind: 'edit', change: { name: event.target.value }, about: 'name' })
        }
      />
      {!nothing && <FamilyCount family={draft.family} />}
      <span className="px-2 text-sm text-soft" role="status">
        {saving
          ? say.t('screen.common.saving')
          : isSaved
            ? say.t('screen.common.saved')
            : nothing
              ? ''
              : say.t('screen.common.notSaved')}
      </span>
      {past.length > 0 && (
        <Button
          look="quiet"
          onClick={() => dispatch({ kind: 'undo' })}
          title={say.t('screen.common.undoCtrlZ')}
        >
          <Undo2 size={16} aria-hidden /> {say.t('screen.common.undo')}
        </Button>
      )}
      {future.length > 0 && (
        <Button
          look="quiet"
          onClick={() => dispatch({ kind: 'redo' })}
          title={say.t('screen.common.redoCtrlShiftZ')}
        >
          <Redo2 size={16} aria-hidden /> {say.t('screen.common.redo')}
        </Button>
      )}
      {families.length > 0 && (
        <Choice
          label={say.t('screen.variations.savedFamilies')}
          options={families.map(({ id, name }) => ({ value: id as string, text: name }))}
          className="inline-flex h-8 items-center rounded-sm px-2 text-soft hover:bg-faint hover:text-ink"
          onChoose={(id) => router.push(`/variations?f=${id}`)}
        >
          {say.t('screen.variations.open')}
        </Choice>
      )}
      {draft.id && (
        <Button look="quiet" onClick={() => void archive()}>
          <Archive size={16} aria-hidden /> {say.t('screen.common.archive')}
        </Button>
      )}
      <Button look="main" onClick={() => void save()} aria-keyshortcuts="Control+S">
        <Save size={15} aria-hidden /> {say.t('screen.common.saveCapital')}
      </Button>
    </header>
  );
}
