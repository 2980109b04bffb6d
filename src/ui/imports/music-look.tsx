'use client';

import { useMemo } from 'react';
import {
  DRAFT_KINDS,
  LIKELY_CHOICES,
  PLAYED_GRIDS,
  type Choice,
  type Draft,
  type FileChoices,
} from '@/core/format';
import { staffOrder } from '@/core/kit';
import { expand, overOne } from '@/core/recipe';
import type { FileLook, PartLook } from '@/core/studio';
import { sayLeft, type Say } from '@/words';
import { LineNotation, MiniLanes, readLine } from '../marks';
import { KeyVoices } from './key-voices';
import { PlayedNotes } from './played-notes';

type Music = Extract<FileLook, { kind: 'music' }>;

/** Most bars of each draft that are drawn. */
const MOST_BARS = 4;

/** Bars of the cuts that are offered. */
const CUTS = [1, 2, 4, 8, 16] as const;

/** The parts of a file of music: what each becomes, how it is cut, what comes of it, and what does not. */
export function MusicLook({
  say,
  look,
  onChange,
}: {
  say: Say;
  look: Music;
  onChange: (choices: FileChoices) => void;
}) {
  const { grid, parts, keys } = look;
  const all = parts.map(({ choice }) => choice);
  const said = keys.flatMap(({ key, voice, isSaid }) => (isSaid ? [{ key, voice }] : []));
  const now = { ...LIKELY_CHOICES, grid, parts: all, keys: said };
  const changed = (choice: Choice) =>
    onChange({ ...now, parts: all.map((one) => (one.part === choice.part ? choice : one)) });
  return (
    <>
      {grid !== null && (
        <PlayedNotes
          say={say}
          look={look}
          grids={PLAYED_GRIDS}
          onGrid={(next) => onChange({ ...now, grid: next })}
        />
      )}
      {keys.length > 0 && (
        <KeyVoices
          say={say}
          keys={keys}
          onChange={(key, voice) => {
            const others = said.filter((one) => one.key !== key);
            onChange({ ...now, keys: [...others, { key, voice }] });
          }}
        />
      )}
      {parts.map((part, index) => (
        <Part key={index} say={say} part={part} nth={index + 1} onChange={changed} />
      ))}
    </>
  );
}

const AS = {
  line: 'imports.asLines',
  ostinato: 'imports.asOstinatos',
  exercise: 'imports.asExercises',
  leave: 'imports.asNothing',
} as const;

function Part({
  say,
  part,
  nth,
  onChange,
}: {
  say: Say;
  part: PartLook;
  nth: number;
  onChange: (choice: Choice) => void;
}) {
  const { choice, drafts, count, left, voices, isKit } = part;
  const name = part.name || say.t('imports.partNth', { part: nth });
  const kinds = [...DRAFT_KINDS.filter((one) => isKit || one === 'line'), 'leave' as const];
  const more = count - drafts.length;
  return (
    <section aria-label={name} className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <h3 className="font-semibold">{name}</h3>
        <select
          aria-label={say.t('imports.asFor', { part: name })}
          className="field"
          value={choice.as}
          onChange={({ target }) =>
            onChange({ ...choice, as: kinds.find((one) => one === target.value) ?? 'leave' })
          }
        >
          {kinds.map((one) => (
            <option key={one} value={one}>
              {say.t(AS[one])}
            </option>
          ))}
        </select>
        {choice.as === 'line' && voices.length > 1 && (
          <select
            aria-label={say.t('imports.voiceFor', { part: name })}
            className="field"
            value={choice.voice ?? ''}
            onChange={({ target }) => onChange({ ...choice, voice: target.value || null })}
          >
            {voices.map((one) => (
              <option key={one} value={one}>
                {say.t('imports.voiceNamed', { voice: one })}
              </option>
            ))}
            <option value="">{say.t('imports.allVoices')}</option>
          </select>
        )}
        {choice.as !== 'leave' && (
          <select
            aria-label={say.t('imports.cutFor', { part: name })}
            className="field"
            value={String(choice.cut)}
            onChange={({ target: { value } }) =>
              onChange({
                ...choice,
                cut: value === 'signs' || value === 'whole' ? value : Number(value),
              })
            }
          >
            <option value="signs">{say.t('imports.cutAtSigns')}</option>
            <option value="whole">{say.t('imports.cutNowhere')}</option>
            {CUTS.map((bars) => (
              <option key={bars} value={bars}>
                {say.t('imports.cutEvery', { bars })}
              </option>
            ))}
          </select>
        )}
        {choice.as !== 'leave' && (
          <span className="text-soft">{say.t('imports.comes', { count })}</span>
        )}
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(24rem,1fr))] gap-x-6 gap-y-2">
        {drafts.map((draft, index) => (
          <li key={index} className="min-w-0 overflow-hidden">
            <span className="mr-2">{draft.name}</span>
            <span className="text-sm text-soft">{say.t('imports.inBars', draft)}</span>
            <DraftView say={say} draft={draft} />
          </li>
        ))}
      </ul>
      {more > 0 && <p className="text-soft">{say.t('imports.moreOfThem', { more })}</p>}
      {choice.as !== 'leave' && left.length > 0 && (
        <div>
          <h4 className="label">{say.t('imports.doesNotCome')}</h4>
          <ul className="list-disc pl-5 text-sm">
            {left.map((one, index) => (
              <li key={index}>{sayLeft(say, one)}</li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

function DraftView({ say, draft }: { say: Say; draft: Draft }) {
  const exercise = useMemo(() => {
    if (draft.kind === 'line') return null;
    const recipe = draft.kind === 'exercise' ? draft.recipe : overOne(draft.ostinato);
    const made = expand(recipe);
    return made.ok ? made.value : null;
  }, [draft]);
  if (draft.kind === 'line') {
    const line = readLine(draft.text, draft.meter);
    if (!line) return draft.text;
    const bars = line.bars.slice(0, MOST_BARS);
    const ends = line.bars.length <= MOST_BARS;
    return <LineNotation line={{ ...line, bars }} say={say} ends={ends} className="text-sm" />;
  }
  if (!exercise) return null;
  const rows = [...new Set(exercise.strokes.map(({ voice }) => voice))].sort(
    (a, b) => staffOrder(a) - staffOrder(b),
  );
  return <MiniLanes exercise={exercise} rows={rows} bars={2} label={draft.name} />;
}
