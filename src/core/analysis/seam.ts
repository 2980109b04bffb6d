import { LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tempo, type Tick, tick } from '../time';
import { gapMsBetween, instantsOf, LIMB_BITS, momentsOf, movementsOf } from './instants';
import { onceAt } from './keep';

/** How the loop closes. */
export interface Seam {
  /** From the cycle's last instant to the first of its next pass, as it is written and as it sounds. */
  readonly gapTicks: Tick;
  readonly gapMs: number;
  /** Limbs that play both sides of the seam: a double across it. */
  readonly doubled: readonly Limb[];
  /** Strokes that begin a pass but belong to the one before; silent the first time. */
  readonly tails: number;
}

/** What one limb has to do. */
export interface LimbLoad {
  readonly limb: Limb;
  readonly strokes: number;
  readonly perSecond: number;
  /** Shortest gap between two of its strokes, the seam included. */
  readonly shortestGapMs: number;
  /** Most strokes in a row without another limb in between, the seam included; others may play along. */
  readonly longestRun: number;
  /** Whether no other limb ever comes in between: the run has no end. */
  readonly endless: boolean;
}

/** @returns null when nothing plays */
export function seamOf(exercise: Exercise, tempo: Tempo): Seam | null {
  const instants = instantsOf(exercise);
  const first = instants[0];
  const last = instants.at(-1);
  if (!first || !last) return null;
  const gapTicks = tick(exercise.cycleTicks - last.at + first.at);
  const before = last.limbs;
  return {
    gapTicks,
    gapMs: gapMsBetween(last, first, exercise, tempo),
    doubled: instants.length > 1 ? first.limbs.filter((limb) => before.includes(limb)) : [],
    tails: exercise.strokes.filter((stroke) => stroke.tail).length,
  };
}

/** Strokes, speed and runs of every limb that plays, right hand first; grace notes, diddles and rolls
 * count as what the limb does. */
export const limbLoads = onceAt((exercise, tempo): readonly LimbLoad[] => {
  const cycleSeconds = ticksToSeconds(exercise.cycleTicks, tempo);
  const runs = longestRuns(exercise, tempo);
  const found: LimbLoad[] = [];
  for (const limb of LIMBS) {
    const mine = movementsOf(exercise, limb, tempo);
    const [first] = mine;
    if (!first) continue;
    let shortestGapMs = Infinity;
    for (let index = 0; index < mine.length; index += 1) {
      const [one, next] = [mine[index] ?? first, mine[index + 1] ?? first];
      shortestGapMs = Math.min(shortestGapMs, gapMsBetween(one, next, exercise, tempo));
    }
    const perSecond = mine.length / cycleSeconds;
    const longestRun = runs[LIMB_BITS[limb]] ?? 0;
    const endless = longestRun === momentsOf(exercise, tempo).length;
    found.push({ limb, strokes: mine.length, perSecond, shortestGapMs, longestRun, endless });
  }
  return found;
});

/** Strokes that limbs make in one cycle, grace notes, diddles and rolls counted. */
export function strokesMade(exercise: Exercise): number {
  return LIMBS.reduce((sum, limb) => sum + movementsOf(exercise, limb, null).length, 0);
}

/** By the limb's bit. Walks the cycle twice, so that a run over the seam is seen; a run of the whole cycle
 * counts once. */
const longestRuns = onceAt((exercise, tempo): readonly number[] => {
  const moments = momentsOf(exercise, tempo);
  const best = new Array<number>(16).fill(0);
  for (const bit of Object.values(LIMB_BITS)) {
    let run = 0;
    for (let step = 0; step < moments.length * 2; step += 1) {
      run = ((moments[step % moments.length]?.mask ?? 0) & bit) === 0 ? 0 : run + 1;
      best[bit] = Math.min(moments.length, Math.max(best[bit] ?? 0, run));
    }
  }
  return best;
});
