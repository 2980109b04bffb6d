'use client';

import { Archive, FilePlus2, Link2, ListOrdered, Redo2, Save, Shapes, Undo2 } from 'lucide-react';
import type { ProgramSummary } from '@/core/studio';
import { suggestName } from '@/words';
import { Button, ProgramChoice, useSpeech } from '../base';
import { SheetButton } from '../sheets';
import { RecipeLink } from '../shell/recipe-link';
import { isSaved, type DraftHistory } from './draft';
import type { Desk } from './use-desk';

/** The exercise's name, how it stands, and what can be done with it as a whole. */
export function BenchHeader({
  history,
  nothing,
  programs,
  desk,
  bpm,
  onName,
  onSettle,
  onUndo,
  onRedo,
}: {
  history: DraftHistory;
  /** Nothing plays yet. */
  nothing: boolean;
  programs: readonly ProgramSummary[];
  desk: Desk;
  /** What it is heard at, and begun at on paper. */
  bpm: number;
  onName: (name: string) => void;
  onSettle: () => void;
  onUndo: () => void;
  onRedo: () => void;
}) {
  const { say } = useSpeech();
  const { draft } = history;
  return (
    <header className="flex flex-wrap items-center gap-x-2 gap-y-1 px-4 pt-3 pb-1">
      <input
        aria-label={say.t('screen.bench.exerciseName')}
        className="title-field min-w-0 flex-1 font-serif text-xl"
        placeholder={nothing ? say.t('screen.bench.newExercise') : suggestName(say, draft.recipe)}
        maxLength={80}
        value={draft.name}
        onChange={(event) => onName(event.target.value)}
        onBlur={onSettle}
      />
      <span className="text-sm text-soft" role="status">
        {desk.saving
          ? say.t('screen.common.saving')
          : isSaved(history)
            ? say.t('screen.common.saved')
            : nothing
              ? ''
              : say.t('screen.common.notSaved')}
      </span>
      {history.past.length > 0 && (
        <Button look="quiet" onClick={onUndo} title={say.t('screen.common.undoCtrlZ')}>
          <Undo2 size={16} aria-hidden /> {say.t('screen.common.undo')}
        </Button>
      )}
      {history.future.length > 0 && (
        <Button look="quiet" onClick={onRedo} title={say.t('screen.common.redoCtrlShiftZ')}>
          <Redo2 size={16} aria-hidden /> {say.t('screen.common.redo')}
        </Button>
      )}
      <Button look="quiet" onClick={desk.startNew}>
        <FilePlus2 size={16} aria-hidden /> {say.t('screen.bench.new')}
      </Button>
      {draft.id !== null && (
        <Button look="quiet" onClick={() => draft.id && void desk.archive(draft.id)}>
          <Archive size={16} aria-hidden /> {say.t('screen.common.archive')}
        </Button>
      )}
      <Button look="quiet" onClick={() => void desk.copyLink()}>
        <Link2 size={16} aria-hidden /> {say.t('screen.bench.link')}
      </Button>
      {!nothing && (
        <SheetButton
          look="quiet"
          name={draft.name || suggestName(say, draft.recipe)}
          whatOf={() => {
            const name = draft.name || suggestName(say, draft.recipe);
            const entries = [{ name, recipe: draft.recipe }];
            return { kind: 'exercises', title: name, entries, bpm };
          }}
        />
      )}
      {!nothing && (
        <RecipeLink look="quiet" recipe={draft.recipe} address={(r) => `/variations?r=${r}`}>
          <Shapes size={16} aria-hidden /> {say.t('screen.bench.vary')}
        </RecipeLink>
      )}
      {!nothing && (
        <RecipeLink
          look="quiet"
          recipe={draft.recipe}
          address={(r) => `/steps?${new URLSearchParams({ r, n: draft.name })}`}
        >
          <ListOrdered size={16} aria-hidden /> {say.t('screen.bench.steps')}
        </RecipeLink>
      )}
      <ProgramChoice
        label={say.t('screen.bench.programToAddItToOr')}
        programs={programs}
        onChoose={(to, name) => void desk.addToProgram(to, name)}
      >
        {say.t('screen.bench.toProgram')}
      </ProgramChoice>
      <Button look="main" onClick={() => void desk.save()} aria-keyshortcuts="Control+S">
        <Save size={15} aria-hidden /> {say.t('screen.common.saveCapital')}
      </Button>
    </header>
  );
}
