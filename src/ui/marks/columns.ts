import { columnsOfBar } from '@/core/analysis';
import type * as notation from '@/core/notation';
import type { Exercise } from '@/core/recipe';
import { beats, countSigns, type CountMark, type Syllables, type Tick } from '@/core/time';

/** A bar, or a part of one, on the page, in CSS px from the system's left edge; lanes, count, staff and playhead
 * share its columns. Time runs evenly from `left` to `right`, or from place to place. */
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
  /** Where columns stand that are spaced as an engraver does, in order of time. */
  readonly places?: readonly { readonly at: number; readonly x: number }[];
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

/** A staff space at the desk. */
export const SPACE = 8.5;

/** How an exercise is written. */
export const SHOWS = ['lanes', 'staff', 'both'] as const;
export type Shows = (typeof SHOWS)[number];

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
  /** Lanes have even columns, and a staff under them the same, with room for its signs; a staff alone is spaced as
   * an engraver does. */
  readonly shows?: Shows;
  /** Counted over a staff alone, which leaves room for the words. */
  readonly count?: Syllables | null;
  /** What a staff is laid out with; without it there are lanes alone. */
  readonly engraver?: Layout | null;
}

type Layout = Pick<
  typeof notation,
  'countRow' | 'leadOf' | 'needsOf' | 'shapeBar' | 'spaceBar' | 'trailOf'
>;

/** Breaks an exercise into rows that fit the room. */
export function systemsOf(exercise: Exercise, sheet: SheetWidth): readonly System[] {
  const { width, gutter, scale = 1, halves = false } = sheet;
  const shows = laidOut(sheet);
  const parts = partsOf(exercise, halves);
  // The bar line at the end of a cycle is thicker than the others.
  const end = shows === 'lanes' ? 0 : SPACE * scale;
  const room = Math.max(60, width - gutter - end);
  const wants = parts.map((part) => wantsOf(exercise, part, sheet));
  const perSystem = halves ? 1 : barsThatFit(exercise, wants, room / scale, shows);
  const systems: System[] = [];
  for (let first = 0; first < parts.length; first += perSystem) {
    const here = parts.slice(first, first + perSystem);
    const row = wants.slice(first, first + perSystem);
    const widths = widthsOf(row, room, Math.min(perSystem, parts.length), shows);
    let edge = gutter;
    const bars = here.map((part, index): BarBox => {
      const right = edge + (widths[index] ?? 0);
      const box = { ...part, edge, right };
      edge = right;
      return { ...box, ...columnsOf(row[index], box, wants, { scale, shows }) };
    });
    systems.push({ bars, width: edge + end });
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

/** How it can be laid out with what there is. */
function laidOut({ shows = 'lanes', engraver }: Pick<SheetWidth, 'shows' | 'engraver'>): Shows {
  return engraver ? shows : 'lanes';
}

/** What a bar or its part wants, in px at the size at the desk. */
interface Wants {
  /** From its edge to its first column. */
  readonly lead: number;
  /** A tick of even columns. */
  readonly perTick: number;
  readonly ticks: number;
  /** Its own spacing, from its edge; null where columns are even. */
  readonly own: ReturnType<Layout['spaceBar']> | null;
}

function wantsOf(
  exercise: Exercise,
  { bar, from, to }: Part,
  { slot, ...sheet }: Pick<SheetWidth, 'shows' | 'slot' | 'engraver' | 'count'>,
): Wants {
  const shows = laidOut(sheet);
  const engraver = shows === 'lanes' ? null : sheet.engraver;
  const shape = engraver?.shapeBar(exercise, bar, from, to);
  const ticks = to - from;
  const begins = bar === 0 && from === 0;
  if (engraver && shape && shows === 'staff') {
    const { count } = sheet;
    const counted = count ? columnsOfBar(exercise, bar).filter((at) => at >= from && at < to) : [];
    const words = count ? engraver.countRow(counted, exercise.meter, count) : [];
    const own = engraver.spaceBar(shape, to, begins, words);
    return { lead: engraver.leadOf(shape, begins) * SPACE, perTick: 0, ticks, own };
  }
  const places = [...columnsOfBar(exercise, bar, slot), exercise.barTicks].filter(
    (at) => at >= from && at <= to,
  );
  const gaps = places.slice(1).map((place, index) => NARROWEST / (place - (places[index] ?? 0)));
  if (!engraver || !shape) return { lead: LEAD, perTick: Math.max(0, ...gaps), ticks, own: null };
  const last = shape.columns.at(-1)?.at ?? from;
  const signs = [
    ...engraver.needsOf(shape).map((need) => (need.spaces * SPACE) / (need.to - need.from)),
    (engraver.trailOf(shape) * SPACE) / (to - last),
  ];
  return {
    lead: Math.max(LEAD, engraver.leadOf(shape, begins) * SPACE),
    perTick: Math.max(0, ...gaps, ...signs),
    ticks,
    own: null,
  };
}

/** Least width of each of so many bars. */
function leastOf(wants: readonly Wants[]): readonly number[] {
  const lead = Math.max(...wants.map((one) => one.lead));
  const perTick = Math.max(...wants.map((one) => one.perTick));
  return wants.map(({ own, ticks }) => (own ? own.width * SPACE : lead + perTick * ticks));
}

/** @param room for bars, in px at the size at the desk */
function barsThatFit(
  { bars }: Exercise,
  wants: readonly Wants[],
  room: number,
  shows: Shows,
): number {
  const least = leastOf(wants);
  const fits = (count: number) => {
    if (shows !== 'staff') return Math.max(...least) * count <= room;
    return least.every((_, first) => {
      const row = first % count === 0 ? least.slice(first, first + count) : [];
      return row.reduce((sum, width) => sum + width, 0) <= room;
    });
  };
  return [8, 4, 2].find((count) => count <= bars * 2 && fits(count)) ?? 1;
}

/** A last row that is not full stays as wide as its notes are elsewhere. */
const MOST_STRETCHED = 1.8;

function widthsOf(
  row: readonly Wants[],
  room: number,
  count: number,
  shows: Shows,
): readonly number[] {
  if (shows !== 'staff') return row.map(() => room / count);
  const least = leastOf(row);
  const sum = least.reduce((all, width) => all + width, 0);
  const stretch = row.length < count ? Math.min(room / sum, MOST_STRETCHED) : room / sum;
  return least.map((width) => width * stretch);
}

/** Where the columns of a bar stand that has its place. */
function columnsOf(
  wants: Wants | undefined,
  { edge, right, to }: Pick<BarBox, 'edge' | 'right' | 'to'>,
  all: readonly Wants[],
  { scale, shows }: { readonly scale: number; readonly shows: Shows },
): Pick<BarBox, 'left' | 'places'> {
  if (shows !== 'staff' || !wants?.own || wants.own.places.length === 0) {
    return { left: edge + Math.max(...all.map((one) => one.lead)) * scale };
  }
  const { places, width } = wants.own;
  const first = places[0]?.x ?? 0;
  // What is before the first column stays as it is; the rest takes the room there is.
  const left = edge + first * SPACE * scale;
  const wider = (right - left) / ((width - first) * SPACE);
  const placed = places.map(({ at, x }) => ({ at, x: left + (x - first) * SPACE * wider }));
  return { left, places: [...placed, { at: to, x: right }] };
}

/** Whether everything in these rows has the room that it wants at this size. */
export function holdsMarks(
  exercise: Exercise,
  systems: readonly System[],
  scale: number,
  sheet: Pick<SheetWidth, 'shows' | 'engraver' | 'count'> = {},
): boolean {
  return systems.every(({ bars }) => {
    const wants = bars.map((box) => wantsOf(exercise, box, sheet));
    const least = leastOf(wants);
    return bars.every((box, index) => box.right - box.edge >= (least[index] ?? 0) * scale * ALMOST);
  });
}

/** Where a place of a bar stands. @param at ticks from the bar's start */
export function placeX(box: BarBox, at: number): number {
  const { places, left, right, from, to } = box;
  if (!places) return left + ((at - from) / (to - from)) * (right - left);
  const next = places.findIndex((place) => place.at > at);
  const here = places[next < 0 ? places.length - 1 : Math.max(0, next - 1)];
  const after = places[next];
  if (!here) return left;
  if (!after || after.at === here.at) return here.x;
  return here.x + ((at - here.at) / (after.at - here.at)) * (after.x - here.x);
}

/** The counted columns of a bar. */
export function columnsIn(
  box: BarBox,
  exercise: Exercise,
  syllables?: Syllables,
  slot?: Tick,
): readonly Column[] {
  const columns = columnsOfBar(exercise, box.bar, slot);
  const marks = countSigns(columns, exercise.meter, syllables);
  return columns.flatMap((at, index) => {
    const mark = marks[index];
    return mark && at >= box.from && at < box.to ? [{ ...mark, at, x: placeX(box, at) }] : [];
  });
}
