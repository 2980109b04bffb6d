'use client';

import { useState, type FormEvent, type ReactNode } from 'react';
import { toast } from 'sonner';
import { type Issue, type Result } from '@/core/issue';
import type { MaterialContents } from '@/core/materials';
import { parseLine, writeLine } from '@/core/reading';
import { expand, recipeOfMaterial } from '@/core/recipe';
import { parsePhrase } from '@/core/sticking';
import { SUBDIVISIONS, parseMeter } from '@/core/time';
import { saySubdivision } from '@/words';
import { attempt, Button, Field, issuesAt, IssueWords, Trouble, useSpeech } from '../base';
import { RulesPhrase } from '../bench';
import { ScoreSheet } from '../marks';
import { CellsFields, KitFields } from './editor-fields';
import { OstinatoFields } from './ostinato-fields';
import { KIND_NAMES, type MaterialActions, type MaterialDraft } from './shelf';
import { TapIn } from './tap-in';

const METERS = ['2/4', '3/4', '4/4', '5/4', '6/8', '7/8', '12/8'];

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
  const set = (change: Partial<MaterialDraft>) => {
    setDraft((now) => ({ ...now, ...change }));
    setIssues([]);
  };
  const setContent = (change: object) => set({ content: { ...draft.content, ...change } });

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
          onChange={(event) => set({ name: event.target.value })}
        />
        <Field
          label={say.t('screen.materials.goodFor')}
          className="w-44"
          maxLength={40}
          value={draft.trains}
          onChange={(event) => set({ trains: event.target.value })}
        />
        {meter !== null && (
          <Labelled label={say.t('screen.common.meter')}>
            <select
              aria-label={say.t('screen.common.meter')}
              className="field"
              value={meter}
              onChange={(event) => {
                set({ meter: event.target.value });
                if (kind === 'ostinato') setContent({ meter: event.target.value });
              }}
            >
              {[...new Set([meter, ...METERS])].map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </Labelled>
        )}
      </div>
      <Content draft={draft} issues={issues} onContent={setContent} />
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
  onContent,
}: {
  draft: MaterialDraft;
  issues: readonly Issue[];
  onContent: (change: object) => void;
}) {
  switch (draft.kind) {
    case 'line': {
      const { text } = draft.content as unknown as MaterialContents['line'];
      return <LineFields meter={draft.meter ?? '4/4'} text={text} onContent={onContent} />;
    }
    case 'sticking':
      return (
        <StickingFields
          content={draft.content as unknown as MaterialContents['sticking']}
          onContent={onContent}
        />
      );
    case 'ostinato':
      return (
        <OstinatoFields
          content={draft.content as unknown as MaterialContents['ostinato']}
          onContent={onContent}
        />
      );
    case 'cells':
      return (
        <CellsFields
          content={draft.content as unknown as MaterialContents['cells']}
          issues={issues}
          onContent={onContent}
        />
      );
    case 'rules': {
      const { rules } = draft.content as unknown as MaterialContents['rules'];
      const as = {
        kind: 'rules' as const,
        rules: rules.map((rule) => ({ ...rule, plays: [...rule.plays] })),
      };
      return (
        <div className="leading-8">
          <RulesPhrase
            as={as}
            onChange={(next) => next.kind === 'rules' && onContent({ rules: next.rules })}
          />
        </div>
      );
    }
    case 'kit':
      return (
        <KitFields
          content={draft.content as unknown as MaterialContents['kit']}
          onContent={onContent}
        />
      );
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
  onContent,
}: {
  meter: string;
  text: string;
  onContent: (change: object) => void;
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
        onChange={(event) => onContent({ text: event.target.value })}
      />
      <TapIn
        meter={meter}
        onTapped={(places, bars, grid) => {
          if (read.ok) onContent({ text: writeLine(places, read.value, bars, grid) });
        }}
      />
      {shown && shown.ok && <ScoreSheet exercise={shown.value} />}
    </>
  );
}

function StickingFields({
  content,
  onContent,
}: {
  content: MaterialContents['sticking'];
  onContent: (change: object) => void;
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
            onChange={(event) => onContent({ slot: event.target.value })}
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
