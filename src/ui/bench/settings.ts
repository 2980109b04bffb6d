import { LIMBS, type Limb } from '@/core/kit';
import type { Loop, Score } from '@/core/playing';
import type { Exercise } from '@/core/recipe';
import { bpm, SLOWEST, type Bpm } from '@/core/time';

/** How the Bench plays; kept while the recipe changes. */
export interface TransportSettings {
  readonly tempo: Bpm;
  /** Plays at half of the tempo. */
  readonly half: boolean;
  readonly click: boolean;
  readonly loop: boolean;
  readonly countInBars: number;
  readonly muted: ReadonlySet<Limb>;
  /** Limbs that are heard alone; with none all are. */
  readonly solo: ReadonlySet<Limb>;
  readonly mix: Score['mix'];
  /** What goes round; null is all of it. */
  readonly part: Loop | null;
}

/** What goes round of an exercise: the part that was set, where the exercise has it. */
export function loopIn({ loop, part }: TransportSettings, exercise: Exercise): Loop | null {
  return loop && part && part.to <= exercise.cycleTicks ? part : null;
}

/** Limbs that are not heard: muted ones, and beside a solo all others. */
export function silentLimbs({
  muted,
  solo,
}: Pick<TransportSettings, 'muted' | 'solo'>): ReadonlySet<Limb> {
  return new Set(LIMBS.filter((limb) => muted.has(limb) || (solo.size > 0 && !solo.has(limb))));
}

/** The tempo that is played, in whole beats a minute. @example 75 at half speed // => 38 */
export function playedBpm({ tempo, half }: Pick<TransportSettings, 'tempo' | 'half'>): Bpm {
  return half ? bpm(Math.max(SLOWEST, Math.round(tempo / 2))) : tempo;
}
