'use client';

import { useState, type FormEvent, type ReactNode } from 'react';
import { unreachable, type Issue, type Result } from '@/core/issue';
import { parseLine, writeLine } from '@/core/reading';
import { expand, recipeOfMaterial } from '@/core/recipe';
import { parsePhrase } from '@/core/sticking';
import { parseMeter, SUBDIVISIONS, USUAL_METERS, type SubdivisionId } from '@/core/time';
import { saySubdivision } from '@/words';
import { attempt, Button, Field, issuesAt, IssueWords, toast, Trouble, useSpeech } from '../base';
import { RulesPhrase } from '../sentence';
import { LineNotation, ScoreSheet } from '../marks';
import { CellsFields, KitFields } from './editor-fields';
import { OstinatoFields } from './ostinato-fields';
import { KIND_NAMES, type Draft, type MaterialActions, type MaterialDraft } from './shelf';
import { TapIn } from './tap-in';

/** A material being made or edited. Nothing is lost by a mistake: what was typed stays, with what is
 * wrong beside it. */
export function MaterialEditor({
  draft: first,
  save,
  onDone,
}: {
  draft: MaterialDraft;
  save: MaterialActions['save'];
  onDone: (id: string | null) => void;
}) {
  const { say } = useSpeech();
  const [draft, setDraft] = useState(first);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const { kind, meter } = draft;
  const set = (next: MaterialDraft) => {
    setDraft(next);
    setIssues([]);
  };

  async function submit(event: FormEvent) {
    event.preventDefault();
    const saved: Result<{ id: string }> | null = await attempt(() => save(draft));
    if (saved === null) toast.error(say.t('screen.common.notSavedNoConnectionYourWork'));
    else if (!saved.ok) setIssues(saved.issues);
    else {
      toast.success(say.t('screen.materials.saved', { draft: draft.name }));
      onDone(saved.value.id);
    }
  }

  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4">
      <h2 className="font-serif text-2xl">
        {draft.id
          ? say.t('screen.materials.editNamed', { first: first.name })
          : say.t('screen.materials.new', { kind: say.t(KIND_NAMES[kind]) })}
      </h2>
      <div className="flex flex-wrap gap-4">
        <Field
          label={say.t('screen.materials.nameCapital')}
          className="w-64"
          autoFocus
          maxLength={80}
          value={draft.name}
          issues={issuesAt(issues, 'name')}
          onChange={(event) => set({ ...draft, name: event.target.value })}
        />
        <Field
          label={say.t('screen.materials.goodFor')}
          className="w-44"
          maxLength={40}
          value={draft.trains}
          onChange={(event) => set({ ...draft, trains: event.target.value })}
        />
        {meter !== null && (
          <Labelled label={say.t('screen.common.meter')}>
            <select
              aria-label={say.t('screen.common.meter')}
              className="field"
              value={meter}
              onChange={(event) => set(inMeter(draft, event.target.value))}
            >
              {[...new Set([meter, ...USUAL_METERS])].map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </Labelled>
        )}
      </div>
      <Content draft={draft} issues={issues} onDraft={set} />
      <Trouble issues={issues.filter((issue) => issue.path[0] !== 'name')} />
      <div className="flex gap-2">
        <Button look="main" type="submit">
          {say.t('screen.common.saveCapital')}
        </Button>
        <Button look="quiet" onClick={() => onDone(null)}>
          {say.t('screen.materials.leave')}
        </Button>
      </div>
    </form>
  );
}

function inMeter(draft: MaterialDraft, meter: string): MaterialDraft {
  return draft.kind === 'ostinato'
    ? { ...draft, meter, content: { ...draft.content, meter } }
    : { ...draft, meter };
}

function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex flex-col">
      <span className="label">{label}</span>
      {children}
    </div>
  );
}

function Content({
  draft,
  issues,
  onDraft,
}: {
  draft: MaterialDraft;
  issues: readonly Issue[];
  onDraft: (draft: MaterialDraft) => void;
}) {
  switch (draft.kind) {
    case 'line':
      return (
        <LineFields
          meter={draft.meter ?? '4/4'}
          text={draft.content.text}
          onText={(text) => onDraft({ ...draft, content: { ...draft.content, text } })}
        />
      );
    case 'sticking':
      return (
        <StickingFields
          content={draft.content}
          onContent={(change) => onDraft({ ...draft, content: { ...draft.content, ...change } })}
        />
      );
    case 'ostinato':
      return (
        <OstinatoFields
          content={draft.content}
          onContent={(change) => onDraft({ ...draft, content: { ...draft.content, ...change } })}
        />
      );
    case 'cells':
      return (
        <CellsFields
          cells={draft.content.cells}
          issues={issues}
          onCells={(cells) => onDraft({ ...draft, content: { ...draft.content, cells } })}
        />
      );
    case 'rules':
      return (
        <div className="leading-8">
          <RulesPhrase
            as={{ kind: 'rules', rules: draft.content.rules }}
            onChange={({ rules }) => onDraft({ ...draft, content: { ...draft.content, rules } })}
          />
        </div>
      );
    case 'kit':
      return (
        <KitFields
          content={draft.content}
          onContent={(change) => onDraft({ ...draft, content: { ...draft.content, ...change } })}
        />
      );
    default:
      return unreachable(draft);
  }
}

/** What a material is called while it is none yet. */
const DRAFT = {
  id: 'draft',
  version: 1,
  name: 'draft',
  trains: '',
  meter: null,
  grade: null,
  own: true,
  archived: false,
} as const;

function LineFields({
  meter,
  text,
  onText,
}: {
  meter: string;
  text: string;
  onText: (text: string) => void;
}) {
  const { say } = useSpeech();
  const read = parseMeter(meter);
  const line = read.ok && text.trim() !== '' ? parseLine(text, read.value, ['text']) : null;
  const shown =
    line?.ok &&
    expand(recipeOfMaterial({ ...DRAFT, kind: 'line', meter, content: { name: 'draft', text } }));
  return (
    <>
      <Field
        label={say.t('screen.common.line')}
        className="max-w-xl"
        value={text}
        placeholder="4. 4 8 4"
        issues={line && !line.ok ? line.issues : []}
        onChange={(event) => onText(event.target.value)}
      />
      <TapIn
        meter={meter}
        onTapped={(places, bars, grid) => {
          if (read.ok) onText(writeLine(places, read.value, bars, grid));
        }}
      />
      {line?.ok && <LineNotation line={line.value} say={say} className="text-2xl" />}
      {shown && shown.ok && <ScoreSheet exercise={shown.value} />}
    </>
  );
}

function StickingFields({
  content,
  onContent,
}: {
  content: Draft<'sticking'>;
  onContent: (change: Partial<Draft<'sticking'>>) => void;
}) {
  const { sticking, slot } = content;
  const { say } = useSpeech();
  const read = sticking.trim() === '' ? null : parsePhrase(sticking, slot, ['sticking']);
  const shown =
    read?.ok &&
    expand(
      recipeOfMaterial({ ...DRAFT, kind: 'sticking', content: { ...content, name: 'draft' } }),
    );
  return (
    <>
      <div className="flex flex-wrap gap-4">
        <Field
          label={say.t('screen.common.sticking')}
          className="w-96"
          value={sticking}
          placeholder={say.t('screen.materials.rllkRl')}
          issues={read && !read.ok ? read.issues : []}
          onChange={(event) => onContent({ sticking: event.target.value })}
        />
        <Labelled label={say.t('screen.common.slots')}>
          <select
            aria-label={say.t('screen.common.slots')}
            className="field"
            value={slot}
            onChange={(event) => onContent({ slot: event.target.value as SubdivisionId })}
          >
            {SUBDIVISIONS.map(({ id }) => (
              <option key={id} value={id}>
                {saySubdivision(say, id)}
              </option>
            ))}
          </select>
        </Labelled>
      </div>
      {shown &&
        (shown.ok ? (
          <ScoreSheet exercise={shown.value} />
        ) : (
          <p role="alert">
            <IssueWords issues={shown.issues} />
          </p>
        ))}
    </>
  );
}
