import { columnsOfBar } from '@/core/analysis';
import type { Exercise } from '@/core/recipe';
import { countMark, type CountMark } from '@/core/time';

/** One bar on the page. Time runs evenly from `left` to `right`, in CSS px from the system's left
 * edge, so that lanes, count, staff and playhead share their columns. */
export interface BarBox {
  readonly bar: number;
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

/** Breaks an exercise into rows of bars that fit a width.
 * @param gutter px kept free at the left for names and clef
 * @param narrowest px that the narrowest column may have */
export function systemsOf(
  exercise: Exercise,
  width: number,
  gutter: number,
  narrowest = NARROWEST,
): readonly System[] {
  const room = Math.max(60, width - gutter);
  const perSystem = barsThatFit(exercise, room, narrowest);
  const barWidth = room / Math.min(perSystem, exercise.bars);
  const systems: System[] = [];
  for (let first = 0; first < exercise.bars; first += perSystem) {
    const count = Math.min(perSystem, exercise.bars - first);
    const bars = Array.from({ length: count }, (_, index): BarBox => {
      const edge = gutter + index * barWidth;
      return { bar: first + index, edge, left: edge + LEAD, right: edge + barWidth };
    });
    systems.push({ bars, width: gutter + count * barWidth });
  }
  return systems;
}

function barsThatFit(exercise: Exercise, room: number, narrowest: number): number {
  let gap: number = exercise.barTicks;
  for (let bar = 0; bar < exercise.bars; bar += 1) {
    const places = [...columnsOfBar(exercise, bar), exercise.barTicks];
    places.slice(1).forEach((place, index) => {
      gap = Math.min(gap, place - (places[index] ?? 0));
    });
  }
  const most = Math.floor(room / (LEAD + (narrowest * exercise.barTicks) / gap));
  return [8, 4, 2].find((count) => count <= most && count <= exercise.bars * 2) ?? 1;
}

/** Where a place of a bar stands. @param at ticks from the bar's start */
export function placeX(box: BarBox, at: number, exercise: Exercise): number {
  return box.left + (at / exercise.barTicks) * (box.right - box.left);
}

/** The counted columns of a bar. */
export function columnsIn(box: BarBox, exercise: Exercise): readonly Column[] {
  return columnsOfBar(exercise, box.bar).map((at) => ({
    ...countMark(at, exercise.meter),
    at,
    x: placeX(box, at, exercise),
  }));
}
