import { letterOf, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { gcd, tick, type Tick } from '../time';
import { instantsOf, LIMB_BITS, pairCounts } from './instants';

/** So many of one limb against so many of the other, from where they meet on. */
export interface Polyrhythm {
  readonly at: Tick;
  readonly limbs: readonly [Limb, Limb];
  readonly counts: readonly [number, number];
  /** Said as one, a letter each, `T` together. */
  readonly said: string;
}

/** Nobody says more notes than this in one breath as a word. Common practice, no source. */
const MOST_SAID = 7;

/** The first place from which two limbs go in even steps until they meet again, so many against so many, none of
 * them a multiple of the other. Null where there is none. */
export function polyrhythmOf(exercise: Exercise): Polyrhythm | null {
  const chain = instantsOf(exercise);
  for (const { limbs, both, first: alone, second: others } of pairCounts(exercise)) {
    if (both === 0 || alone === 0 || others === 0) continue;
    const [one, other] = [LIMB_BITS[limbs[0]], LIMB_BITS[limbs[1]]];
    const meets = (index: number) => {
      const mask = chain[index % chain.length]?.mask ?? 0;
      return (mask & one) !== 0 && (mask & other) !== 0;
    };
    const start = chain.findIndex((_, index) => meets(index));
    let from = start;
    let counts: [number, number] = [1, 1];
    for (let index = start + 1; index <= start + chain.length; index += 1) {
      if (!meets(index)) {
        const mask = chain[index % chain.length]?.mask ?? 0;
        if ((mask & one) !== 0) counts[0] += 1;
        else if ((mask & other) !== 0) counts[1] += 1;
        continue;
      }
      const isSaid = Math.max(...counts) <= MOST_SAID;
      const isOne = isSaid && counts[0] > 1 && counts[1] > 1 && gcd(...counts) === 1;
      if (
        isOne &&
        goesEvenly(exercise, one, from, index) &&
        goesEvenly(exercise, other, from, index)
      ) {
        const at = chain[from % chain.length]?.at ?? tick(0);
        return { at, limbs, counts, said: said(exercise, limbs, from, index) };
      }
      from = index;
      counts = [1, 1];
    }
  }
  return null;
}

/** Places of a limb from one instant up to another, which may lie in the next pass. */
function placesOf(exercise: Exercise, bit: number, from: number, to: number): readonly number[] {
  const chain = instantsOf(exercise);
  const found: number[] = [];
  for (let index = from; index <= to; index += 1) {
    const { at = 0, mask = 0 } = chain[index % chain.length] ?? {};
    if ((mask & bit) !== 0) found.push(at + Math.floor(index / chain.length) * exercise.cycleTicks);
  }
  return found;
}

function goesEvenly(exercise: Exercise, bit: number, from: number, to: number): boolean {
  const places = placesOf(exercise, bit, from, to);
  const step = (places[1] ?? 0) - (places[0] ?? 0);
  return places.every((at, index) => at === (places[0] ?? 0) + index * step);
}

function said(
  exercise: Exercise,
  [first, second]: readonly [Limb, Limb],
  from: number,
  to: number,
): string {
  const chain = instantsOf(exercise);
  const letters: string[] = [];
  for (let index = from; index < to; index += 1) {
    const mask = chain[index % chain.length]?.mask ?? 0;
    const [one, other] = [mask & LIMB_BITS[first], mask & LIMB_BITS[second]];
    if (one !== 0 && other !== 0) letters.push('T');
    else if (one !== 0) letters.push(letterOf(first));
    else if (other !== 0) letters.push(letterOf(second));
  }
  return letters.join(' ');
}
