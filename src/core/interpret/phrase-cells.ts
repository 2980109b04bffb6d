import { fail, ok, type Issue } from '../issue';
import { STICKING_LETTERS, type Limb, type StickingLetter } from '../kit';
import { asTail, fillsFromBefore, makeStroke, type Provenance, type Stroke } from '../pattern';
import { gapsAround, lineTicks, onsets, type Onset, type ReadingLine } from '../reading';
import { barTicks, formatMeter, slotTicks, tick, wrap } from '../time';
import { firstAlternates } from './cell-alternates';
import { placeInSlots } from './grid-place';
import type { PhraseCellsOptions } from './phrase-cells-schema';
import type { Interpretation } from './types';

const SLOT = slotTicks('16');

const IN_16THS = placeInSlots(SLOT);

/** Most alternates that an issue proposes. */
const PROPOSALS = 5;

/** The lead hand plays the line; the distance to the next onset, in 16ths and across the loop
 * seam, chooses a cell. The lead is accented, the fill ghosted; feet play full. */
export const phraseCells: Interpretation<PhraseCellsOptions> = {
  kind: 'phrase-cells',
  reads: 'sticking',
  claims: (options) => {
    const placed = Object.values(options.places ?? {}).map(({ cell = '' }) => cell);
    const letters = [
      ...Object.values({ ...options.cells.cells, ...options.chosen }),
      ...placed,
    ].join('');
    const limbs = new Set<Limb>();
    for (const letter of letters) limbs.add(STICKING_LETTERS[letter as StickingLetter]);
    return [...limbs];
  },
  play: (line, options) => {
    const length = lineTicks(line);
    const found = onsets(line);
    const gaps = gapsAround(found, length);
    const issues: Issue[] = [];
    const strokes: Stroke[] = [];
    found.forEach((onset, index) => {
      const gap = (gaps[index] ?? 0) / SLOT;
      const offGrid = offGridIssue(onset, gap, line);
      if (offGrid) {
        issues.push(offGrid);
        return;
      }
      const cell = cellAt(index, gap, options);
      if (cell === null) issues.push(gapIssue(onset, gap, line));
      else if (cell.length !== gap) {
        issues.push({ code: 'cell-length', path: ['as', 'cells', gap], gap, sticking: cell });
      } else {
        const accentLast = options.places?.[index]?.accentLast ?? options.accentLastOfSix;
        strokes.push(...playCell(onset, cell, length, { voices: options.voices, accentLast }));
      }
    });
    return issues.length > 0 ? fail(...issues) : ok(strokes);
  },
};

/** The cell for a gap in slots: the teacher's choice, else the set's; null without one. */
export function cellFor(
  gap: number,
  options: Pick<PhraseCellsOptions, 'cells' | 'chosen'>,
): string | null {
  return options.chosen[gap] ?? options.cells.cells[gap] ?? null;
}

/** The cell of one place: what was chosen for it where that is as long as the gap, else the gap's.
 * @param index note of the line, from 0  @param gap in slots */
function cellAt(
  index: number,
  gap: number,
  options: Pick<PhraseCellsOptions, 'cells' | 'chosen' | 'places'>,
): string | null {
  const here = options.places?.[index]?.cell;
  return here?.length === gap ? here : cellFor(gap, options);
}

/** The cells a line takes, in its order; null where a gap has none.
 * @example the line `4. 4 8 4` // => ['RLLKKL', 'RLLK', 'RL', 'RLLK'] */
export function cellsOf(
  line: ReadingLine,
  options: Pick<PhraseCellsOptions, 'cells' | 'chosen' | 'places'>,
): readonly { readonly gap: number; readonly cell: string | null }[] {
  return gapsAround(onsets(line), lineTicks(line)).map((gapTicks, index) => {
    const gap = gapTicks / SLOT;
    return { gap, cell: cellAt(index, gap, options) };
  });
}

function playCell(
  onset: Onset,
  cell: string,
  lineLength: number,
  { voices, accentLast }: Pick<PhraseCellsOptions, 'voices'> & { accentLast: boolean },
): Stroke[] {
  return [...cell].map((token, index): Stroke => {
    const letter = token as StickingLetter;
    const limb = STICKING_LETTERS[letter];
    const offset = tick(index * SLOT);
    const lastOfSix = accentLast && index === 5 && cell.length === 6 && letter === 'L';
    const foot = letter === 'K' || letter === 'F';
    const at = tick(wrap(onset.at + offset, lineLength));
    const from: Provenance =
      index === 0
        ? { source: 'line', onset: onset.index }
        : { source: 'fill', onset: onset.index, cell, index, offset, gap: true };
    const dynamic = index === 0 || lastOfSix ? 'accent' : foot ? 'normal' : 'ghost';
    const voice = voices[letter];
    const stroke = makeStroke({ at, limb, voice, dynamic, ...IN_16THS, from });
    return asTail(stroke, fillsFromBefore(stroke, at));
  });
}

function placeInBar(onset: Onset, line: ReadingLine) {
  const bar = barTicks(line.meter);
  const inBar = onset.at % bar;
  return {
    bar: Math.floor(onset.at / bar) + 1,
    slot: Math.floor(inBar / SLOT),
    at: inBar,
    meter: formatMeter(line.meter),
  };
}

function offGridIssue(onset: Onset, gap: number, line: ReadingLine): Issue | null {
  if (onset.at % SLOT === 0 && Number.isInteger(gap)) return null;
  return { code: 'gap-off-grid', path: ['play'], ...placeInBar(onset, line) };
}

function gapIssue(onset: Onset, gap: number, line: ReadingLine): Issue {
  return {
    code: 'gap-without-cell',
    path: ['as', 'cells', gap],
    ...placeInBar(onset, line),
    gap,
    proposals: firstAlternates(gap, PROPOSALS),
  };
}
