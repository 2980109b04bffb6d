import type { Limb } from '../kit';
import type { Exercise } from '../recipe';
import { gcd, type Syllables, type Tempo } from '../time';
import { spokenLimbs, spokenComposite } from './composite';
import { countStrings, type LimbCount } from './count';
import { cuesOf, type Cue } from './cues';
import { difficultyParts } from './difficulty';
import type { DifficultyPart } from './difficulty-facts';
import { feltPulses, type FeltPulse } from './felt';
import { leadsOf, type Leads } from './leads';
import { lineReading } from './line-reading';
import { lockUp, type LockUp } from './lock-up';
import { motionsOf, type MotionAt } from './motions';
import { hindrances, type Hindrance } from './playability';
import { runsOf, type LimbRun } from './runs';
import { limbLoads, seamOf, type LimbLoad, type Seam } from './seam';
import { smallestPart, type SmallestPart } from './smallest-part';
import { syncopationOf, type Syncopation } from './syncopation';
import { travelOf, type Travel } from './travel';

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
  /** Runs of one limb that will be too fast at a faster tempo. */
  readonly runs: readonly LimbRun[];
  readonly hindrances: readonly Hindrance[];
  readonly leads: Leads | null;
  readonly syncopation: readonly Syncopation[];
  readonly felt: readonly FeltPulse[];
  readonly travel: readonly Travel[];
  readonly cues: readonly Cue[];
  /** How many slots of the coarsest grid that holds all sound, in one cycle. */
  readonly density: {
    readonly taken: number;
    readonly slots: number;
    readonly slotTicks: number;
  };
}

/** @param limbs whose composite is spoken; by default the two that differ most */
export function readBack(
  exercise: Exercise,
  tempo: Tempo,
  limbs?: readonly Limb[],
  syllables?: Syllables,
): Readback {
  const spoken = limbs ?? spokenLimbs(exercise);
  return {
    line: lineReading(exercise),
    counts: countStrings(exercise, syllables),
    composite: spoken && { limbs: spoken, text: spokenComposite(exercise, spoken) },
    lockUp: lockUp(exercise),
    bars: exercise.bars,
    smallest: smallestPart(exercise),
    motions: (['RH', 'LH'] as const)
      .map((limb) => ({ limb, motions: motionsOf(exercise, limb, tempo) }))
      .filter(({ motions }) => motions.length > 0),
    difficulty: difficultyParts(exercise, tempo),
    seam: seamOf(exercise, tempo),
    loads: limbLoads(exercise, tempo),
    runs: runsOf(exercise, tempo),
    hindrances: hindrances(exercise, tempo),
    leads: leadsOf(exercise),
    syncopation: syncopationOf(exercise),
    felt: feltPulses(exercise, tempo),
    travel: travelOf(exercise, tempo),
    cues: cuesOf(exercise, tempo),
    density: densityOf(exercise),
  };
}

function densityOf(exercise: Exercise): Readback['density'] {
  let [taken, before] = [0, -1];
  let slot: number = exercise.barTicks;
  for (const { at } of exercise.strokes) {
    if (at === before) continue;
    before = at;
    taken += 1;
    slot = gcd(slot, at);
  }
  return { taken, slots: exercise.cycleTicks / slot, slotTicks: slot };
}
