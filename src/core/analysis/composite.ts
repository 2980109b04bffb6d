import { letterOf, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { instantsOf, LIMB_BITS, pairCounts } from './instants';

/** The limbs said together as one rhythm: a letter each, T where both play together.
 * Lower case where neither name would be clear is not needed: feet are K and F.
 * @param limbs two limbs; with more, unisons of any size read T
 * @returns letters in order of time over one cycle
 * @example quarters in the right hand, quarter triplets in the left // => 'T L R L' */
export function spokenComposite(exercise: Exercise, limbs: readonly Limb[]): string {
  const wanted = limbs.reduce((bits, limb) => bits | LIMB_BITS[limb], 0);
  const letters: string[] = [];
  for (const { mask } of instantsOf(exercise)) {
    const playing = mask & wanted;
    if (playing === 0) continue;
    const only = limbs.find((limb) => LIMB_BITS[limb] === playing);
    letters.push(only === undefined ? 'T' : letterOf(only));
  }
  return letters.join(' ');
}

/** The two limbs that differ most: fewest notes together for the notes they play.
 * Null with fewer than two limbs. */
export function differingLimbs(exercise: Exercise): readonly [Limb, Limb] | null {
  let best: { limbs: readonly [Limb, Limb]; apart: number } | null = null;
  for (const { limbs, both, first, second } of pairCounts(exercise)) {
    if (both + first === 0 || both + second === 0) continue;
    if (best === null || first + second > best.apart) best = { limbs, apart: first + second };
  }
  return best?.limbs ?? null;
}
