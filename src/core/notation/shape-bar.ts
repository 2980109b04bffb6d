import { voice } from '../kit';
import type { Exercise } from '../recipe';
import { tick, type Tick } from '../time';
import { GLYPHS, type Box } from './glyphs';
import { notate, type WrittenBar, type WrittenSign } from './notate';
import { yOfLine } from './heads';
import { restOf, type SignShape } from './staff-sign';
import {
  reachOf,
  shapeVoice,
  TUPLET_HEIGHT,
  type ColumnShape,
  type VoiceShape,
} from './staff-voice';

/** What one instant of a bar shows, in both voices. */
interface StaffColumn {
  /** From the start of the bar. */
  readonly at: Tick;
  /** Everything that wants room, in staff spaces from the column's middle and the top line. */
  readonly boxes: readonly Box[];
}

/** A bar, or a part of one, before anything has its place across: what stands in its columns, and how high it all
 * is. */
export interface BarShape {
  readonly hands: VoiceShape;
  readonly feet: VoiceShape;
  /** How far a column of the feet is moved to the right, where it would meet the hands. */
  readonly moved: ReadonlyMap<number, number>;
  readonly columns: readonly StaffColumn[];
  /** Nothing sounds in the bar. */
  readonly rests: boolean;
  /** Highest and lowest of all signs, down from the top line. */
  readonly top: number;
  readonly bottom: number;
  /** What is silent the first time round, above or below the staff. */
  readonly onRepeat: { readonly from: Tick; readonly to: Tick; readonly up: boolean } | null;
}

/** What is shaped of an exercise stays with it: its systems are laid out from it, and its bars are drawn from it. */
const SHAPED = new WeakMap<Exercise, Map<string, BarShape>>();
const WRITTEN = new WeakMap<Exercise, readonly WrittenBar[]>();

/** @param bar from 0  @param from @param to the part of the bar that is shown, in ticks from its start */
export function shapeBar(
  exercise: Exercise,
  bar: number,
  from = 0,
  to: number = exercise.barTicks,
): BarShape {
  const shaped = SHAPED.get(exercise) ?? new Map<string, BarShape>();
  SHAPED.set(exercise, shaped);
  const key = `${bar} ${from} ${to}`;
  const known = shaped.get(key);
  if (known) return known;
  const written = WRITTEN.get(exercise) ?? notate(exercise);
  WRITTEN.set(exercise, written);
  const within = ({ at }: WrittenSign) => at >= from && at < to;
  const { hands = [], feet = [] } = written[bar] ?? {};
  const made = shape(hands.filter(within), feet.filter(within));
  shaped.set(key, made);
  return made;
}

const MIDDLE = 2;
const OF_HANDS = 1;
const OF_FEET = 4;

function shape(hands: readonly WrittenSign[], feet: readonly WrittenSign[]): BarShape {
  const both = hands.length > 0 && feet.length > 0;
  const shared = new Set(hands.filter((sign) => isRestOf(sign, feet)).map((sign) => sign.at));
  const restY = (up: boolean, others: readonly WrittenSign[]) => (sign: WrittenSign) => {
    if (!both || shared.has(sign.at)) return MIDDLE;
    return clearOf(sign, up, others);
  };
  const handRests = restY(true, feet);
  const heads = shapeVoice(hands, true, handRests).columns;
  const below = shapeVoice(feet, false, restY(false, hands), heads.map(withoutStem));
  const upper = shapeVoice(hands, true, handRests, below.columns);
  const lower = withoutShared(below, shared);
  const moved = new Map<number, number>();
  for (const column of lower.columns) {
    const above = upper.columns.find(({ sign }) => sign.at === column.sign.at);
    const by = above ? apart(above, column) : 0;
    if (by > 0) moved.set(column.sign.at, by);
  }
  const places = new Map<number, Box[]>();
  const put = (columns: readonly ColumnShape[], by: (at: number) => number) => {
    for (const column of columns) {
      const at = column.sign.at;
      const boxes = boxesOf(column).map((box) => moveBox(box, by(at)));
      places.set(at, [...(places.get(at) ?? []), ...boxes]);
    }
  };
  put(upper.columns, () => 0);
  put(lower.columns, (at) => moved.get(at) ?? 0);
  const columns = [...places]
    .sort(([a], [b]) => a - b)
    .map(([at, boxes]): StaffColumn => ({ at: tick(at), boxes }));
  const sounding = [...upper.columns, ...lower.columns].map(reachOf);
  const numbers = [...upper.tuplets, ...lower.tuplets].map(({ y }) => y);
  return {
    hands: upper,
    feet: lower,
    moved,
    columns,
    rests: columns.length === 0,
    top: Math.min(
      -1,
      ...sounding.map(([top]) => top),
      ...numbers.map((y) => y - TUPLET_HEIGHT / 2),
    ),
    bottom: Math.max(
      5,
      ...sounding.map(([, bottom]) => bottom).filter(Number.isFinite),
      ...numbers.map((y) => y + TUPLET_HEIGHT / 2),
    ),
    onRepeat: onRepeat(hands, true) ?? onRepeat(feet, false),
  };
}

/** Both voices rest at once, and equally long: that is written once. */
function isRestOf(sign: WrittenSign, others: readonly WrittenSign[]): boolean {
  if (sign.strokes.length > 0) return false;
  return others.some(
    (other) =>
      other.at === sign.at &&
      other.strokes.length === 0 &&
      other.base === sign.base &&
      other.dots === sign.dots &&
      other.tuplet?.at === sign.tuplet?.at &&
      other.tuplet?.played === sign.tuplet?.played,
  );
}

/** A column that reaches as far down as its heads do. */
function withoutStem(column: ColumnShape): ColumnShape {
  return { ...column, strokes: [] };
}

function withoutShared(of: VoiceShape, shared: ReadonlySet<number>): VoiceShape {
  return {
    ...of,
    columns: of.columns.map((column) =>
      column.sign.strokes.length === 0 && shared.has(column.sign.at)
        ? { ...column, glyphs: [] }
        : column,
    ),
  };
}

/** Where a rest stands so that it keeps clear of what the other voice plays at that instant. */
function clearOf(sign: WrittenSign, up: boolean, others: readonly WrittenSign[]): number {
  const [, top, , bottom] = GLYPHS[restOf(sign.base)];
  const other = others.find(({ at }) => at === sign.at);
  const ys = other?.strokes.map((stroke) => yOfLine(voice(stroke.voice).line)) ?? [];
  if (ys.length === 0) return up ? OF_HANDS : OF_FEET;
  return up
    ? Math.min(OF_HANDS, Math.floor(Math.min(...ys) - 0.6 - bottom))
    : Math.max(OF_FEET, Math.ceil(Math.max(...ys) + 0.6 - top));
}

/** How far the feet's signs have to move to the right to keep clear of the hands' at the same instant. */
function apart(above: ColumnShape, below: ColumnShape): number {
  const hands = boxesOf(above);
  const feet = boxesOf(below);
  const meet = hands.some((one) => feet.some((other) => overlap(one, other)));
  if (!meet) return 0;
  const right = Math.max(...hands.map((box) => box[2]));
  return right - Math.min(...feet.map((box) => box[0])) + 0.15;
}

/** Whether two boxes share more than an edge. */
function overlap(one: Box, other: Box): boolean {
  return one[0] < other[2] - EDGE && other[0] < one[2] - EDGE && overlapDown(one, other);
}

/** Whether two boxes lie on one height, wherever they are across. */
export function overlapDown(one: Box, other: Box): boolean {
  return one[1] < other[3] - EDGE && other[1] < one[3] - EDGE;
}

const EDGE = 0.01;

function moveBox([left, top, right, bottom]: Box, by: number): Box {
  return [left + by, top, right + by, bottom];
}

/** What a column wants room for; ledger lines of neighbours may touch. */
function boxesOf({ glyphs, strokes }: SignShape): readonly Box[] {
  const upright = strokes.filter(([left, top, right, bottom]) => bottom - top > right - left);
  return [...glyphs.map(boxOfGlyph), ...upright];
}

/** The extent of a glyph where it stands. */
function boxOfGlyph({
  glyph,
  x,
  y,
  size = 1,
}: {
  readonly glyph: keyof typeof GLYPHS;
  readonly x: number;
  readonly y: number;
  readonly size?: number;
}): Box {
  const [left, top, right, bottom] = GLYPHS[glyph];
  return [x + left * size, y + top * size, x + right * size, y + bottom * size];
}

function onRepeat(signs: readonly WrittenSign[], up: boolean): BarShape['onRepeat'] {
  const tails = signs.filter((sign) => sign.strokes.some((stroke) => stroke.tail));
  const [first] = tails;
  const last = tails.at(-1);
  return first && last ? { from: first.at, to: last.at, up } : null;
}
