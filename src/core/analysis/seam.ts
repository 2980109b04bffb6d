import { LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tempo, type Tick, tick } from '../time';
import { gapMsBetween, instantsOf, momentsOf, movementsOf } from './instants';

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
  /** Most strokes in a row without another limb in between, the seam included. */
  readonly longestRun: number;
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
export function limbLoads(exercise: Exercise, tempo: Tempo): readonly LimbLoad[] {
  const cycleSeconds = ticksToSeconds(exercise.cycleTicks, tempo);
  const runs = longestRuns(exercise);
  return LIMBS.flatMap((limb): LimbLoad[] => {
    const mine = movementsOf(exercise, limb);
    const [first] = mine;
    if (!first) return [];
    let shortestGapMs = Infinity;
    mine.forEach((one, index) => {
      const gap = gapMsBetween(one, mine[index + 1] ?? first, exercise, tempo);
      shortestGapMs = Math.min(shortestGapMs, gap);
    });
    const perSecond = mine.length / cycleSeconds;
    const longestRun = runs.get(limb) ?? 0;
    return [{ limb, strokes: mine.length, perSecond, shortestGapMs, longestRun }];
  });
}

/** Strokes that limbs make in one cycle, grace notes, diddles and rolls counted. */
export function strokesMade(exercise: Exercise): number {
  return LIMBS.reduce((sum, limb) => sum + movementsOf(exercise, limb).length, 0);
}

/** Walks the cycle twice, so that a run over the seam is seen; a run of the whole cycle counts
 * once. */
function longestRuns(exercise: Exercise): Map<Limb, number> {
  const instants = momentsOf(exercise);
  const best = new Map<Limb, number>();
  let runLimb: Limb | null = null;
  let run = 0;
  for (let step = 0; step < instants.length * 2; step += 1) {
    const limbs = instants[step % instants.length]?.limbs ?? [];
    const only = limbs.length === 1 ? (limbs[0] ?? null) : null;
    run = only !== null && only === runLimb ? run + 1 : 1;
    runLimb = only;
    if (only) best.set(only, Math.min(instants.length, Math.max(best.get(only) ?? 0, run)));
    else for (const limb of limbs) best.set(limb, Math.max(best.get(limb) ?? 0, 1));
  }
  return best;
}
