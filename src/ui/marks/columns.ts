import { columnsOfBar } from '@/core/analysis';
import { gracesOf } from '@/core/pattern';
import type { Exercise } from '@/core/recipe';
import { beats, countMark, type CountMark, type Syllables, type Tick } from '@/core/time';

/** A bar, or a part of one, on the page. Time runs evenly from `left` to `right`, in CSS px from
 * the system's left edge, so that lanes, count, staff and playhead share their columns. */
export interface BarBox {
  readonly bar: number;
  /** The part of the bar that stands here, in ticks from the bar's start. */
  readonly from: number;
  readonly to: number;
  /** Where the bar line stands. */
  readonly edge: number;
  /** Where its first column stands. */
  readonly left: number;
  readonly right: number;
}

/** A row of bars. */
export interface System {
  readonly bars: readonly BarBox[];
  readonly width: number;
}

export interface Column extends CountMark {
  readonly x: number;
  readonly at: number;
}

/** Space before a bar's first column. */
const LEAD = 15;

/** Narrowest column that still holds a mark. */
const NARROWEST = 19;

/** A column may be this much narrower before a row counts as too tight. */
const ALMOST = 0.97;

/** What one grace note takes before its note, and a parenthesis at its head. */
const GRACE_WIDTH = 10;
const PARENTHESIS_WIDTH = 6;

/** How wide things may be, all in CSS px. */
export interface SheetWidth {
  readonly width: number;
  /** Kept free at the left for names and clef. */
  readonly gutter: number;
  /** How large the marks are drawn; 1 is the size at the desk. */
  readonly scale?: number;
  /** Breaks every bar in two, at the beat nearest to its middle. */
  readonly halves?: boolean;
  /** A grid that has columns in any case. */
  readonly slot?: Tick;
  /** With room for what a staff has besides its heads: grace notes, parentheses. */
  readonly engraved?: boolean;
}

/** Breaks an exercise into rows that fit the room. */
export function systemsOf(
  exercise: Exercise,
  { width, gutter, scale = 1, halves = false, slot, engraved = false }: SheetWidth,
): readonly System[] {
  const room = Math.max(60, width - gutter);
  const parts = partsOf(exercise, halves);
  const signs = engraved ? signWidths(exercise) : NO_SIGNS;
  const lead = LEAD + signs.before(0);
  const perSystem = halves ? 1 : barsThatFit(exercise, room / scale, lead, signs, slot);
  const boxWidth = room / Math.min(perSystem, parts.length);
  const systems: System[] = [];
  for (let first = 0; first < parts.length; first += perSystem) {
    const bars = parts.slice(first, first + perSystem).map((part, index): BarBox => {
      const edge = gutter + index * boxWidth;
      return { ...part, edge, left: edge + lead * scale, right: edge + boxWidth };
    });
    systems.push({ bars, width: gutter + bars.length * boxWidth });
  }
  return systems;
}

type Part = Pick<BarBox, 'bar' | 'from' | 'to'>;

function partsOf(exercise: Exercise, halves: boolean): readonly Part[] {
  const { meter, barTicks } = exercise;
  const all = beats(meter);
  const middle = all[Math.ceil(all.length / 2)]?.at ?? barTicks;
  const cuts = halves && middle < barTicks ? [0, middle, barTicks] : [0, barTicks];
  return Array.from({ length: exercise.bars }, (_, bar) =>
    cuts.slice(1).map((to, index) => ({ bar, from: cuts[index] ?? 0, to })),
  ).flat();
}

/** Whether every column is wide enough for marks of this size. */
export function holdsMarks(exercise: Exercise, systems: readonly System[], scale: number): boolean {
  const widths = systems.flatMap((system) =>
    system.bars.flatMap((box) => {
      const places = columnsIn(box, exercise).map((column) => column.x);
      return [...places, box.right].slice(1).map((x, index) => x - (places[index] ?? 0));
    }),
  );
  return Math.min(...widths) >= NARROWEST * scale * ALMOST;
}

/** What stands beside the heads of a staff, in px. */
interface SignWidths {
  /** Before the head at a place of the bar, in whichever bar it takes most. */
  readonly before: (at: number) => number;
  readonly after: (at: number) => number;
}

const NO_SIGNS: SignWidths = { before: () => 0, after: () => 0 };

function signWidths({ strokes, barTicks }: Exercise): SignWidths {
  const before = new Map<number, number>();
  const after = new Map<number, number>();
  const most = (of: Map<number, number>, at: number, width: number) =>
    of.set(at, Math.max(of.get(at) ?? 0, width));
  for (const stroke of strokes) {
    const at = stroke.at % barTicks;
    const graces = stroke.ornament ? gracesOf(stroke).length : 0;
    const parenthesis = stroke.dynamic === 'ghost' ? PARENTHESIS_WIDTH : 0;
    most(before, at, parenthesis + (graces > 0 ? GRACE_WIDTH * (graces + 0.5) : 0));
    most(after, at, parenthesis);
  }
  return { before: (at) => before.get(at) ?? 0, after: (at) => after.get(at) ?? 0 };
}

/** @param room for bars, in px at the size at the desk */
function barsThatFit(
  exercise: Exercise,
  room: number,
  lead: number,
  { before, after }: SignWidths,
  slot?: Tick,
): number {
  let perTick = 0;
  for (let bar = 0; bar < exercise.bars; bar += 1) {
    const places = [...columnsOfBar(exercise, bar, slot), exercise.barTicks];
    places.slice(1).forEach((place, index) => {
      const from = places[index] ?? 0;
      const width = NARROWEST + after(from) + (place < exercise.barTicks ? before(place) : 0);
      perTick = Math.max(perTick, width / (place - from));
    });
  }
  const most = Math.floor(room / (lead + perTick * exercise.barTicks));
  return [8, 4, 2].find((count) => count <= most && count <= exercise.bars * 2) ?? 1;
}

/** Where a place of a bar stands. @param at ticks from the bar's start */
export function placeX(box: BarBox, at: number): number {
  return box.left + ((at - box.from) / (box.to - box.from)) * (box.right - box.left);
}

/** The counted columns of a bar. */
export function columnsIn(
  box: BarBox,
  exercise: Exercise,
  syllables?: Syllables,
  slot?: Tick,
): readonly Column[] {
  return columnsOfBar(exercise, box.bar, slot)
    .filter((at) => at >= box.from && at < box.to)
    .map((at) => ({ ...countMark(at, exercise.meter, syllables), at, x: placeX(box, at) }));
}
