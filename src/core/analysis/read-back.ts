import type { Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo } from '../time';
import { differingLimbs, spokenComposite } from './composite';
import { countStrings, type LimbCount } from './count';
import { lineReading } from './line-reading';
import { lockUp, type LockUp } from './lock-up';
import { hindrances, type Hindrance } from './playability';
import { limbLoads, seamOf, type LimbLoad, type Seam } from './seam';

/** Everything that is said back about an exercise at a tempo. */
export interface Readback {
  /** What the reading line became, `RLLKKL RLLK RL RLLK` or `K K S K`; empty without a line. */
  readonly line: string;
  readonly counts: readonly LimbCount[];
  readonly composite: { readonly limbs: readonly Limb[]; readonly text: string } | null;
  readonly lockUp: LockUp;
  readonly bars: number;
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
    seam: seamOf(exercise, tempo),
    loads: limbLoads(exercise, tempo),
    hindrances: hindrances(exercise, tempo),
  };
}
