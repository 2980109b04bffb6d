import { quarters, type Tick } from '../time';
import type { Box } from './glyphs';
import type { CountWord } from './count-row';
import { overlapDown, type BarShape } from './shape-bar';

/** Least clear space between signs of neighbouring columns, and between a bar line and the first or last of them. */
const CLEAR = 0.2;
const CLEAR_OF_LINE = 0.55;
const CLEAR_OF_DOTS = 0.95;
const CLEAR_OF_WORDS = 0.3;

/** Least space from a bar line to the middle of the first column. */
const LEAD = 1.65;

/** Space that a value takes where there is room: a 32nd this much, and each doubling this much more. By eye, after
 * the logarithmic spacing that is common practice in engraving. */
const THIRTY_SECOND = 1.5;
const A_DOUBLING = 1.05;

/** Room that two columns need between their middles.
 * @param from @param to ticks from the start of the bar */
export interface Need {
  readonly from: Tick;
  readonly to: Tick;
  readonly spaces: number;
}

/** Columns that stand near enough to meet: each with the next three. */
const NEAR = 3;

/** What has to lie between columns so that no two signs meet. */
export function needsOf({ columns }: BarShape): readonly Need[] {
  return columns.flatMap((one, index) =>
    columns.slice(index + 1, index + 1 + NEAR).map((other): Need => ({
      from: one.at,
      to: other.at,
      spaces: between(one.boxes, other.boxes),
    })),
  );
}

/** @returns least distance of the middles; 0 where nothing is on one height */
function between(lefts: readonly Box[], rights: readonly Box[]): number {
  let most = 0;
  for (const left of lefts) {
    for (const right of rights) {
      if (overlapDown(left, right)) most = Math.max(most, left[2] - right[0] + CLEAR);
    }
  }
  return most;
}

/** Least space from the bar's left edge to the middle of its first column.
 * @param begins whether a repeat sign opens the bar */
export function leadOf({ columns }: BarShape, begins = false): number {
  const boxes = columns[0]?.boxes ?? [];
  const clear = begins ? CLEAR_OF_DOTS : CLEAR_OF_LINE;
  return Math.max(LEAD, ...boxes.map(([left]) => clear - left));
}

/** Least space from the middle of the last column to the bar's right edge. */
export function trailOf({ columns }: BarShape): number {
  const boxes = columns.at(-1)?.boxes ?? [];
  return Math.max(0, ...boxes.map((box) => box[2] + CLEAR_OF_DOTS));
}

/** A column's place across. */
export interface Place {
  readonly at: number;
  /** Middle of the column from the bar's left edge, in staff spaces. */
  readonly x: number;
}

/** Places the columns of a bar as an engraver does: longer values take more room, and no two signs or words meet.
 * @param to where the bar or its part ends, in ticks from the bar's start
 * @param begins whether a repeat sign opens it
 * @param words what is counted over it, in order of time; where no column stands they lie evenly between two
 * @returns places in order of time, and the width of the bar in staff spaces */
export function spaceBar(
  shape: BarShape,
  to: number,
  begins = false,
  words: readonly CountWord[] = [],
): { readonly places: readonly Place[]; readonly width: number } {
  const needs = needsOf(shape);
  const places: Place[] = [];
  shape.columns.forEach(({ at }, index) => {
    const before = places.at(-1);
    const wanted = before
      ? before.x + Math.max(usualSpace(at - before.at), roomOfWords(words, before.at, at, to))
      : leadOf(shape, begins);
    const least = needs
      .filter((need) => need.to === at)
      .map((need) => (places.find((one) => one.at === need.from)?.x ?? 0) + need.spaces);
    places.push({ at, x: index === 0 ? wanted : Math.max(wanted, ...least) });
  });
  const last = places.at(-1);
  if (!last) {
    const from = words[0]?.at ?? 0;
    const room = Math.max(usualSpace(quarters(2)), roomOfWords(words, from, to, to));
    return { places, width: LEAD + room };
  }
  const room = Math.max(usualSpace(to - last.at), roomOfWords(words, last.at, to, to));
  return { places, width: last.x + Math.max(trailOf(shape), room) };
}

/** Room between two columns so that words which lie there, or over them, keep apart. */
function roomOfWords(words: readonly CountWord[], from: number, till: number, to: number): number {
  const needs = words.map((word, index) => {
    const next = words[index + 1] ?? { at: to, width: 0 };
    if (next.at <= from || word.at >= till) return 0;
    const spaces = (word.width + next.width) / 2 + CLEAR_OF_WORDS;
    return (spaces * (till - from)) / (next.at - word.at);
  });
  return Math.max(0, ...needs);
}

function usualSpace(ticks: number): number {
  return THIRTY_SECOND + A_DOUBLING * Math.max(0, Math.log2(ticks / quarters(1, 8)));
}
