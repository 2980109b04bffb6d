import type { Exercise } from '../recipe';
import type { Meter } from '../time';
import { BEAT_SIZE, BETWEEN_SIZE, type CountWord } from './count-row';
import { GLYPHS } from './glyphs';
import type { StaffGlyph } from './heads';
import { shapeBar } from './shape-bar';
import { stickingRow } from './sticking-row';

/** What stands around the notes of a staff. */
export interface StaffRows {
  /** Counted over the notes. */
  readonly count?: boolean;
  /** Hands under the notes. */
  readonly sticking?: boolean;
  /** Bars that are the same as before have a repeat sign. */
  readonly repeats?: boolean;
}

/** How high the staff of an exercise is, the same in all its rows; in staff spaces. */
export interface StaffExtent {
  /** From the top of the drawing down to the top line of the staff. */
  readonly topLine: number;
  readonly height: number;
  /** Where rows stand, from the top line down. */
  readonly countY: number;
  readonly numberY: number;
  readonly stickingY: number;
}

/** A text over or under the notes, its middle at `x`; in staff spaces. */
export interface RowText {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly size: number;
  readonly strong: boolean;
}

const ROW = 2;
const NUMBER_ROW = 0.9;
const STICKING_ROW = 1.5;
const PAD = 0.8;

export function extentOf(
  exercise: Exercise,
  { count = false, sticking = false }: StaffRows,
): StaffExtent {
  const shapes = Array.from({ length: exercise.bars }, (_, bar) => shapeBar(exercise, bar));
  const over = shapes.some((shape) => shape.onRepeat) ? ROW : 0;
  const top = Math.min(-1.5, ...shapes.map((shape) => shape.top)) - over;
  const bottom = Math.max(5, ...shapes.map((shape) => shape.bottom)) + over;
  const numbers = exercise.bars > 1 || exercise.feel.kind === 'swung' ? NUMBER_ROW : 0;
  const topLine = PAD + (count ? ROW : 0) + numbers - top;
  const countY = top - numbers - 0.5;
  return {
    topLine,
    countY,
    numberY: countY + NUMBER_ROW + 0.4,
    stickingY: bottom + 1.6,
    height: topLine + bottom + (sticking ? ROW * 1.6 : 0) + PAD / 2,
  };
}

/** The words of the count and the sticking of a bar or a part of one.
 * @param words the count, as `countRow` has it; none where it is not written
 * @param xOf the middle of a place of the bar */
export function rowTexts(
  exercise: Exercise,
  { bar, from, to }: { readonly bar: number; readonly from: number; readonly to: number },
  rows: StaffRows,
  { countY, stickingY }: StaffExtent,
  words: readonly CountWord[],
  xOf: (at: number) => number,
): readonly RowText[] {
  const counted = words.map(({ at, text, isBeat }): RowText => ({
    x: xOf(at),
    y: countY,
    text,
    size: isBeat ? BEAT_SIZE : BETWEEN_SIZE,
    strong: isBeat,
  }));
  if (!rows.sticking) return counted;
  const hands = stickingRow(exercise, bar).filter(({ at }) => at >= from && at < to);
  const letters = hands.flatMap(({ at, letters }) =>
    letters.map((text, index): RowText => {
      const y = stickingY + index * STICKING_ROW;
      return { x: xOf(at), y, text, size: BEAT_SIZE, strong: true };
    }),
  );
  return [...counted, ...letters];
}

/** Least room for the clef, and for the meter after it. */
export const CLEF_ROOM = 4;
export const METER_ROOM = 6;

/** What opens a system: the clef, and the meter where the exercise begins. */
export function headOf({ count, unit }: Meter, isFirst: boolean): readonly StaffGlyph[] {
  const clef: StaffGlyph = { glyph: 'percussionClef', x: 0.8, y: 2 };
  return isFirst ? [clef, ...digits(count, 4, 1), ...digits(unit, 4, 3)] : [clef];
}

function digits(number: number, x: number, y: number): readonly StaffGlyph[] {
  const ids = [...String(number)].map((digit) => `meter${digit}` as keyof typeof GLYPHS);
  const width = ids.reduce((sum, id) => sum + GLYPHS[id][2], 0);
  let left = x - width / 2;
  return ids.map((glyph): StaffGlyph => {
    const sign = { glyph, x: left, y };
    left += GLYPHS[glyph][2];
    return sign;
  });
}
