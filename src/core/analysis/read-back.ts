import type { Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo } from '../time';
import { differingLimbs, spokenComposite } from './composite';
import { countStrings, type LimbCount } from './count';
import { difficultyParts, type DifficultyPart } from './difficulty';
import { lineReading } from './line-reading';
import { lockUp, type LockUp } from './lock-up';
import { motionsOf, type MotionAt } from './motions';
import { hindrances, type Hindrance } from './playability';
import { limbLoads, seamOf, type LimbLoad, type Seam } from './seam';
import { smallestPart, type SmallestPart } from './smallest-part';

/** Everything that is said back about an exercise at a tempo. */
export interface Readback {
  /** What the reading line became, `RLLKKL RLLK RL RLLK` or `K K S K`; empty without a line. */
  readonly line: string;
  readonly counts: readonly LimbCount[];
  readonly composite: { readonly limbs: readonly Limb[]; readonly text: string } | null;
  readonly lockUp: LockUp;
  readonly bars: number;
  readonly smallest: SmallestPart | null;
  /** Hands that play, with their motions in order. */
  readonly motions: readonly { readonly limb: Limb; readonly motions: readonly MotionAt[] }[];
  readonly difficulty: readonly DifficultyPart[];
  readonly seam: Seam | null;
  readonly loads: readonly LimbLoad[];
  readonly hindrances: readonly Hindrance[];
}

/** @param limbs whose composite is spoken; by default the two that differ most */
export function readBack(exercise: Exercise, tempo: Tempo, limbs?: readonly Limb[]): Readback {
  const spoken = limbs ?? differingLimbs(exercise);
  return {
    line: lineReading(exercise),
    counts: countStrings(exercise),
    composite: spoken && { limbs: spoken, text: spokenComposite(exercise, spoken) },
    lockUp: lockUp(exercise),
    bars: exercise.bars,
    smallest: smallestPart(exercise),
    motions: (['RH', 'LH'] as const)
      .map((limb) => ({ limb, motions: motionsOf(exercise, limb) }))
      .filter(({ motions }) => motions.length > 0),
    difficulty: difficultyParts(exercise, tempo),
    seam: seamOf(exercise, tempo),
    loads: limbLoads(exercise, tempo),
    hindrances: hindrances(exercise, tempo),
  };
}
