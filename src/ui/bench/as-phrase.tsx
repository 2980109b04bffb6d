'use client';

import { fail, ok, type Issue, type Result } from '@/core/issue';
import {
  cellAlternates,
  cellsOf,
  INTERPRETATIONS,
  type InterpretationKind,
} from '@/core/interpret';
import { parseSticking } from '@/core/pattern';
import { parseLine } from '@/core/reading';
import { startOf, type ClosedRecipe } from '@/core/recipe';
import { parseMeter, type SubdivisionId } from '@/core/time';
import { Choice, Trouble, type Option } from '../base';
import { AssignmentPhrase, VoicePhrase } from './phrase-parts';

type As = ClosedRecipe['as'];
type PhraseCells = Extract<As, { kind: 'phrase-cells' }>;

const KINDS: readonly Option<InterpretationKind>[] = INTERPRETATIONS.map((one) => ({
  value: one.kind as InterpretationKind,
  text: one.name,
  hint: one.says,
}));

const LONG_FROM: readonly Option<SubdivisionId>[] = [
  { value: '4', text: 'quarter' },
  { value: '8', text: '8th' },
  { value: '16', text: '16th' },
];

/** The interpretation and its options, in words that can be changed. */
export function AsPhrase({
  recipe,
  issues,
  onChange,
}: {
  recipe: ClosedRecipe;
  issues: readonly Issue[];
  onChange: (as: As) => void;
}) {
  const { as } = recipe;
  return (
    <>
      <Choice
        label="Interpretation"
        options={KINDS}
        value={as.kind}
        onChoose={(kind) => kind !== as.kind && onChange(startOf(kind))}
      >
        {KINDS.find((one) => one.value === as.kind)?.text}
      </Choice>
      {as.kind === 'verbatim' && (
        <>
          {' on '}
          <AssignmentPhrase label="On" value={as.on} onChange={(on) => onChange({ ...as, on })} />
        </>
      )}
      {as.kind === 'short-long' && (
        <>
          {': short = '}
          <AssignmentPhrase
            label="Short notes"
            value={as.short}
            onChange={(short) => onChange({ ...as, short })}
          />
          {', long = '}
          <AssignmentPhrase
            label="Long notes"
            value={as.long}
            onChange={(long) => onChange({ ...as, long })}
          />
          {', from a '}
          <Choice
            label="Long from a"
            options={LONG_FROM}
            value={as.longFrom}
            onChoose={(longFrom) => onChange({ ...as, longFrom })}
          >
            {LONG_FROM.find((one) => one.value === as.longFrom)?.text ?? as.longFrom}
          </Choice>
        </>
      )}
      {as.kind === 'phrase-cells' && <Cells as={as} recipe={recipe} onChange={onChange} />}
      <Trouble issues={issues} />
    </>
  );
}

function Cells({
  as,
  recipe,
  onChange,
}: {
  as: PhraseCells;
  recipe: ClosedRecipe;
  onChange: (as: As) => void;
}) {
  const meter = parseMeter(recipe.meter);
  const line = meter.ok && recipe.play ? parseLine(recipe.play.content.text, meter.value) : null;
  const cells = line?.ok ? cellsOf(line.value, { cells: as.cells.content, chosen: as.chosen }) : [];
  const setCell = (gap: number, cell: string) =>
    onChange({ ...as, chosen: { ...as.chosen, [gap]: cell } });
  return (
    <>
      {cells.length > 0 && ': '}
      {cells.map(({ gap, cell }, index) => (
        <span key={index}>
          <Choice
            label={`Cell for ${gap} 16ths`}
            options={cellOptions(gap, as)}
            value={cell ?? undefined}
            onChoose={(next) => setCell(gap, next)}
            onType={(text) => readCell(text, gap)}
          >
            {cell ?? `${gap} ?`}
          </Choice>{' '}
        </span>
      ))}
      <span className="block text-[0.85rem] leading-7 text-soft">
        R on{' '}
        <VoicePhrase
          label="R sounds"
          value={as.voices.R}
          onChoose={(id) => onChange({ ...as, voices: { ...as.voices, R: id } })}
        />
        , L on{' '}
        <VoicePhrase
          label="L sounds"
          value={as.voices.L}
          onChoose={(id) => onChange({ ...as, voices: { ...as.voices, L: id } })}
        />
        , K on{' '}
        <VoicePhrase
          label="K sounds"
          value={as.voices.K}
          onChoose={(id) => onChange({ ...as, voices: { ...as.voices, K: id } })}
        />
        ,{' '}
        <button
          type="button"
          className="phrase"
          aria-pressed={as.accentLastOfSix}
          onClick={() => onChange({ ...as, accentLastOfSix: !as.accentLastOfSix })}
        >
          last left of a six {as.accentLastOfSix ? 'accented' : 'ghosted'}
        </button>
      </span>
    </>
  );
}

/** Most alternates that a chooser lists. */
const MOST_CELLS = 40;

function cellOptions(gap: number, as: PhraseCells): readonly Option<string>[] {
  const usual = as.cells.content.cells[gap];
  const others = gap <= 16 ? cellAlternates(gap).filter((cell) => cell !== usual) : [];
  const chosen = as.chosen[gap];
  const all = new Set([usual, chosen, ...others].filter((cell) => cell !== undefined));
  return [...all]
    .slice(0, MOST_CELLS)
    .map((cell) => ({ value: cell, text: cell, hint: cellHint(cell, usual) }));
}

function cellHint(cell: string, usual: string | undefined): string | undefined {
  if (cell === usual) return 'usual';
  return cell.endsWith('L') ? 'leaves on the left' : undefined;
}

function readCell(text: string, gap: number): Result<string> {
  const words = parseSticking(text.toUpperCase(), ['as', 'cells', gap]);
  if (!words.ok) return words;
  const cell = words.value.flat().join('');
  if (cell.length === gap) return ok(cell);
  return fail({ code: 'cell-length', path: ['as', 'cells', gap], gap, sticking: cell });
}
