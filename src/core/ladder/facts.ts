import { instantsOf, strokesOf } from '../analysis';
import { LIMBS, type Limb, type VoiceId } from '../kit';
import type { ClosedRecipe, Exercise } from '../recipe';
import { beats, formatMeter } from '../time';
import type { Variation } from '../log';
import { usualTwist } from './usual-twist';

type Bridge = Extract<Variation, { kind: 'bridge' }>;

/** What replaying a log has to know of an exercise, to name what to take away. */
export interface ExerciseFacts {
  /** The limbs that play, as written and on this kit, with the voice that each plays most. */
  readonly limbs: readonly {
    readonly written: Limb;
    readonly plays: Limb;
    readonly voice: VoiceId;
  }[];
  /** The limb, on this kit, with most of what is read; null where nothing is. */
  readonly lineLimb: Limb | null;
  readonly ornaments: boolean;
  readonly halves: boolean;
  /** For every felt beat of the cycle, the step into it; null where nothing plays there. */
  readonly bridges: readonly (Bridge | null)[];
  /** What makes it new once it is easy; null where nothing does. */
  readonly twist: Variation | null;
}

/** For what cannot be played. */
export const NO_FACTS: ExerciseFacts = {
  limbs: [],
  lineLimb: null,
  ornaments: false,
  halves: false,
  bridges: [],
  twist: null,
};

/** @param recipe what the exercise was made from */
export function factsOf(exercise: Exercise, recipe: ClosedRecipe): ExerciseFacts {
  return {
    limbs: LIMBS.flatMap((plays) => {
      const [first] = strokesOf(exercise, plays);
      if (!first) return [];
      return [{ written: first.written?.limb ?? plays, plays, voice: usualVoice(exercise, plays) }];
    }),
    lineLimb: lineLimbOf(exercise),
    ornaments: exercise.strokes.some((stroke) => stroke.ornament !== undefined),
    halves: instantsOf(exercise).length > 3,
    bridges: bridgesOf(exercise),
    twist: usualTwist(recipe, exercise),
  };
}

function usualVoice(exercise: Exercise, limb: Limb): VoiceId {
  const counts = new Map<VoiceId, number>();
  for (const { voice } of strokesOf(exercise, limb)) {
    counts.set(voice, (counts.get(voice) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  if (!most) throw new RangeError(`${limb} plays nothing`);
  return most[0];
}

function lineLimbOf(exercise: Exercise): Limb | null {
  const line = exercise.strokes.filter(({ from }) => from.source !== 'over');
  const counts = LIMBS.map((limb) => line.filter((stroke) => stroke.limb === limb).length);
  const most = Math.max(...counts);
  return most === 0 ? null : (LIMBS[counts.indexOf(most)] ?? null);
}

/** The events around every felt beat: the last before it, and the first that comes with it. */
function bridgesOf(exercise: Exercise): readonly (Bridge | null)[] {
  const chain = instantsOf(exercise);
  if (chain.length < 2) return [];
  const meter = formatMeter(exercise.meter);
  return beatPlaces(exercise).map(({ at, ticks }): Bridge | null => {
    const index = chain.findIndex((one) => one.at >= at && one.at < at + ticks);
    const to = chain[index];
    const from = chain.at(index - 1);
    if (!to || !from) return null;
    return { kind: 'bridge', from: from.at, to: to.at, meter };
  });
}

/** Every felt beat of the cycle, in order. */
export function beatPlaces(exercise: Exercise): readonly { at: number; ticks: number }[] {
  return Array.from({ length: exercise.bars }, (_, bar) =>
    beats(exercise.meter).map(({ at, ticks }) => ({ at: bar * exercise.barTicks + at, ticks })),
  ).flat();
}
