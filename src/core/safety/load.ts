import { limbLoads } from '../analysis';
import { isHand, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo } from '../time';

/** Strokes a second of one limb above which it tires quickly, and practice wants breaks; common
 * practice, no source. */
export const LOAD_LIMIT = { hand: 8, foot: 6 } as const;

/** A limb that plays faster than its limit. */
export interface Load {
  readonly limb: Limb;
  readonly perSecond: number;
  readonly limit: number;
}

/** The limbs whose strokes a second, over the cycle, pass the stated limit at a tempo. */
export function heavyLoads(exercise: Exercise, tempo: Tempo): readonly Load[] {
  return limbLoads(exercise, tempo).flatMap(({ limb, perSecond }) => {
    const limit = isHand(limb) ? LOAD_LIMIT.hand : LOAD_LIMIT.foot;
    return perSecond > limit ? [{ limb, perSecond, limit }] : [];
  });
}
