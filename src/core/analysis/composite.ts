import { letterOf, LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { instantsOf } from './instants';

/** The limbs said together as one rhythm: a letter each, T where both play together.
 * Lower case where neither name would be clear is not needed: feet are K and F.
 * @param limbs two limbs; with more, unisons of any size read T
 * @returns letters in order of time over one cycle
 * @example quarters in the right hand, quarter triplets in the left // => 'T L R L' */
export function spokenComposite(exercise: Exercise, limbs: readonly Limb[]): string {
  return instantsOf(exercise)
    .flatMap((instant) => {
      const playing = limbs.filter((limb) => instant.limbs.includes(limb));
      const [only] = playing;
      if (only === undefined) return [];
      return [playing.length > 1 ? 'T' : letterOf(only)];
    })
    .join(' ');
}

/** The two limbs that differ most: fewest notes together for the notes they play.
 * Null with fewer than two limbs. */
export function differingLimbs(exercise: Exercise): readonly [Limb, Limb] | null {
  const instants = instantsOf(exercise);
  const playing = LIMBS.filter((limb) => instants.some(({ limbs }) => limbs.includes(limb)));
  let best: { pair: readonly [Limb, Limb]; apart: number } | null = null;
  for (const [index, a] of playing.entries()) {
    for (const b of playing.slice(index + 1)) {
      const apart = instants.filter(({ limbs }) => limbs.includes(a) !== limbs.includes(b)).length;
      if (best === null || apart > best.apart) best = { pair: [a, b], apart };
    }
  }
  return best?.pair ?? null;
}
