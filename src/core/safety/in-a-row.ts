import { limbLoads } from '../analysis';
import { isHand, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo } from '../time';
import { LOAD_LIMIT } from './load';

/** One try in a day, or a rest (without an exercise). */
export interface Stint {
  readonly exercise: Exercise | null;
  readonly tempo: Tempo | null;
  readonly seconds: number;
}

/** One limb that plays without a pause. */
export interface InARow {
  readonly limb: Limb;
  readonly seconds: number;
  readonly strokes: number;
}

/** A limb that plays fewer strokes a second than this share of its limit recovers meanwhile; common
 * practice, no source. */
const RESTS_BELOW = 0.5;

/** A limb works so long in one go, and it is worth a word; seconds, common practice, no source. */
const LONG_IN_A_ROW = 10 * 60;

/** The longest time that one limb works without a pause over a day: tries that follow each other count
 * together as long as it plays at half its limit or more; null when nothing does. */
export function longestInARow(stints: readonly Stint[]): InARow | null {
  let longest: InARow | null = null;
  const now = new Map<Limb, InARow>();
  for (const { exercise, tempo, seconds } of stints) {
    const working = new Map<Limb, InARow>();
    for (const { limb, perSecond } of exercise && tempo ? limbLoads(exercise, tempo) : []) {
      const limit = isHand(limb) ? LOAD_LIMIT.hand : LOAD_LIMIT.foot;
      if (perSecond < RESTS_BELOW * limit) continue;
      const before = now.get(limb);
      const strokes = Math.round(perSecond * seconds) + (before?.strokes ?? 0);
      const row = { limb, seconds: seconds + (before?.seconds ?? 0), strokes };
      working.set(limb, row);
      if (!longest || row.seconds > longest.seconds) longest = row;
    }
    now.clear();
    for (const [limb, row] of working) now.set(limb, row);
  }
  return longest;
}

/** Whether it is long enough to be worth a word. */
export function isLongInARow(row: InARow | null): row is InARow {
  return row !== null && row.seconds >= LONG_IN_A_ROW;
}
