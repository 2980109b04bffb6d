import { isHand, limitsOf, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo } from '../time';
import { gapMsBetween, instantsOf, LIMB_BITS } from './instants';
import { onceAt } from './keep';
import { limbLoads } from './seam';

/** One limb several times in a row, with no other in between, and from which tempo on that is faster than its limit. */
export interface LimbRun {
  readonly limb: Limb;
  readonly strokes: number;
  /** The nearest of them at this tempo, and the limit of the kit. */
  readonly gapMs: number;
  readonly limitMs: number;
  /** At the first whole beats a minute that pass the limit. */
  readonly fromBpm: number;
}

/** Fewer in a row are doubles. */
const FEWEST = 3;

/** Tempi farther off than this many times the tempo are nobody's business yet. */
const WITHIN = 2;

/** The longest run of each limb that is not too fast at this tempo and will be at a faster one; grace notes do not
 * count, for they do not get nearer. Limits are the kit's.
 * @example five left-hand 8th triplets at 60, 333 ms apart, limit 110 // => from 182 bpm on: 333 × 60 ÷ 110, plus one */
export const runsOf = onceAt((exercise, tempo): readonly LimbRun[] => {
  const { handRun, footRun } = limitsOf(exercise.kit);
  return limbLoads(exercise, tempo).flatMap(
    ({ limb, longestRun: most, shortestGapMs }): LimbRun[] => {
      const limitMs = isHand(limb) ? handRun : footRun;
      if (most < FEWEST || shortestGapMs > limitMs * WITHIN) return [];
      const run = longestRun(exercise, tempo, limb, limitMs * WITHIN);
      if (!run || run.strokes < FEWEST) return [];
      const fromBpm = Math.floor((run.gapMs * tempo.bpm) / limitMs) + 1;
      return run.gapMs >= limitMs ? [{ limb, ...run, limitMs, fromBpm }] : [];
    },
  );
});

/** @param nearMs strokes that are farther apart are not in a row */
function longestRun(exercise: Exercise, tempo: Tempo, limb: Limb, nearMs: number) {
  const instants = instantsOf(exercise);
  const bit = LIMB_BITS[limb];
  const count = instants.length;
  let best: { readonly strokes: number; readonly gapMs: number } | null = null;
  let [strokes, gapMs] = [0, Infinity];
  for (let step = 0; step < count * 2; step += 1) {
    const now = instants[step % count];
    const before = instants[(step + count - 1) % count];
    if (!now || !before || (now.mask & bit) === 0) {
      [strokes, gapMs] = [0, Infinity];
      continue;
    }
    const gap = gapMsBetween(before, now, exercise, tempo);
    const goesOn = strokes > 0 && gap <= nearMs;
    gapMs = goesOn ? Math.min(gapMs, gap) : Infinity;
    strokes = goesOn ? Math.min(count, strokes + 1) : 1;
    if (strokes > (best?.strokes ?? 1)) best = { strokes, gapMs };
  }
  return best;
}
