'use client';

import { useState, type ReactNode } from 'react';
import { fail, ok, type Result } from '@/core/issue';
import { cellAlternates, cellsOf, firstAlternates } from '@/core/interpret';
import { parseSticking } from '@/core/pattern';
import { parseLine } from '@/core/reading';
import type { ClosedRecipe } from '@/core/recipe';
import { parseMeter } from '@/core/time';
import { type Say, sayMaterial, saySixteenths } from '@/words';
import { Choice, type Option, useSpeech } from '../base';
import { VoicePhrase } from './phrase-parts';
import { useMaterials, VersionNote } from '../library';

type As = ClosedRecipe['as'];
type PhraseCells = Extract<As, { kind: 'phrase-cells' }>;
type CellPlace = NonNullable<PhraseCells['places']>[string];

export function CellsPhrase({
  name,
  as,
  recipe,
  onChange,
}: {
  /** The interpretation itself. */
  name: ReactNode;
  as: PhraseCells;
  recipe: ClosedRecipe;
  onChange: (as: As) => void;
}) {
  const { say } = useSpeech();
  const meter = parseMeter(recipe.meter);
  const content = recipe.play?.content;
  const text = content && 'text' in content ? content.text : null;
  const line = meter.ok && text !== null ? parseLine(text, meter.value) : null;
  const cells = line?.ok ? cellsOf(line.value, { ...as, cells: as.cells.content }) : [];
  const [single, setSingle] = useState(as.places !== undefined);
  const setPlace = (index: number, place: CellPlace) =>
    onChange({ ...as, places: { ...as.places, [index]: { ...as.places?.[index], ...place } } });
  const setCell = (index: number, gap: number, cell: string) =>
    single ? setPlace(index, { cell }) : onChange({ ...as, chosen: { ...as.chosen, [gap]: cell } });
  const sounds = (letter: 'R' | 'L' | 'K') => (
    <VoicePhrase
      label={say.t('screen.bench.sounds', { limb: letter })}
      value={as.voices[letter]}
      onChoose={(id) => onChange({ ...as, voices: { ...as.voices, [letter]: id } })}
    />
  );
  return (
    <>
      <CellSetPhrase name={name} as={as} onChange={onChange} />
      {cells.length > 0 && ': '}
      {cells.map(({ gap, cell }, index) => (
        <span key={index}>
          <Choice
            label={say.t(single ? 'screen.bench.cellAtPlace' : 'screen.bench.cellForSlots', {
              ...{ gap, place: index + 1 },
              sixteenths: saySixteenths(say),
            })}
            options={cellOptions(gap, as, say)}
            value={cell ?? undefined}
            onChoose={(next) => setCell(index, gap, next)}
            onType={(text) => readCell(text, gap)}
          >
            {cell ?? `${gap} ?`}
          </Choice>
          {single && cell !== null && /^.{5}L$/.test(cell) && (
            <button
              type="button"
              className="phrase"
              aria-label={say.t('screen.bench.accentItsLastLeft', { place: index + 1 })}
              aria-pressed={as.places?.[index]?.accentLast ?? as.accentLastOfSix}
              onClick={() => {
                const now = as.places?.[index]?.accentLast ?? as.accentLastOfSix;
                setPlace(index, { accentLast: !now });
              }}
            >
              {(as.places?.[index]?.accentLast ?? as.accentLastOfSix) ? '>' : '·'}
            </button>
          )}{' '}
        </span>
      ))}
      {cells.length > 1 && (
        <button
          type="button"
          className="phrase text-[0.85rem]"
          aria-pressed={single}
          onClick={() => setSingle(!single)}
        >
          {say.t(single ? 'screen.bench.placeByPlace' : 'screen.bench.allOfALength')}
        </button>
      )}
      <span className="block text-[0.85rem] leading-7 text-soft">
        {say.t.rich('screen.bench.cellVoices', {
          right: () => sounds('R'),
          left: () => sounds('L'),
          kick: () => sounds('K'),
          last: () => (
            <button
              type="button"
              className="phrase"
              aria-pressed={as.accentLastOfSix}
              onClick={() => onChange({ ...as, accentLastOfSix: !as.accentLastOfSix })}
            >
              {as.accentLastOfSix
                ? say.t('screen.bench.lastLeftAccented')
                : say.t('screen.bench.lastLeftGhosted')}
            </button>
          ),
        })}
      </span>
    </>
  );
}

/** Which set the cells come from, where there is more than one. */
function CellSetPhrase({
  name,
  as,
  onChange,
}: {
  name: ReactNode;
  as: PhraseCells;
  onChange: (as: As) => void;
}) {
  const { say } = useSpeech();
  const sets = useMaterials('cells');
  const free = sets.filter((one) => !one.archived);
  const take = ({ id, version, content }: (typeof sets)[number]) =>
    onChange({
      ...as,
      cells: { id, version, content: { name: content.name, cells: { ...content.cells } } },
      chosen: {},
    });
  if (free.length < 2) return name;
  return (
    <>
      {say.t.rich('screen.bench.cellsFrom', {
        cells: () => name,
        set: () => (
          <Choice
            label={say.t('screen.bench.cellSetCapital')}
            options={free.map((one) => ({ value: one.id, text: sayMaterial(say, one) }))}
            value={as.cells.id}
            onChoose={(id) => {
              const set = free.find((one) => one.id === id);
              if (set) take(set);
            }}
          >
            {sayMaterial(say, as.cells)}
          </Choice>
        ),
      })}
      <VersionNote of={as.cells} kind="cells" onUpdate={take} />
    </>
  );
}

/** Most alternates that a chooser lists. */
const MOST_CELLS = 40;

function cellOptions(gap: number, as: PhraseCells, say: Say): readonly Option<string>[] {
  const usual = as.cells.content.cells[gap];
  const others = (gap <= 16 ? cellAlternates(gap) : firstAlternates(gap, MOST_CELLS)).filter(
    (cell) => cell !== usual,
  );
  const chosen = as.chosen[gap];
  const all = new Set([usual, chosen, ...others].filter((cell) => cell !== undefined));
  return [...all]
    .slice(0, MOST_CELLS)
    .map((cell) => ({ value: cell, text: cell, hint: cellHint(cell, usual, say) }));
}

function cellHint(cell: string, usual: string | undefined, say: Say): string | undefined {
  if (cell === usual) return say.t('screen.bench.usual');
  return cell.endsWith('L') ? say.t('screen.bench.endsOnTheLeftHand') : undefined;
}

function readCell(text: string, gap: number): Result<string> {
  const words = parseSticking(text.toUpperCase(), ['as', 'cells', gap]);
  if (!words.ok) return words;
  const cell = words.value.flat().join('');
  if (cell.length === gap) return ok(cell);
  return fail({ code: 'cell-length', path: ['as', 'cells', gap], gap, sticking: cell });
}
