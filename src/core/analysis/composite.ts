import { isHand, letterOf, LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { instantsOf, LIMB_BITS, LIMB_SETS, pairCounts, strokesOf } from './instants';

/** The limbs said together as one rhythm until it comes again: a letter each, T where several of them play together;
 * feet are K and F.
 * @param limbs two limbs or more
 * @returns letters in order of time
 * @example quarters in the right hand, quarter triplets in the left // => 'T L R L' */
export function spokenComposite(exercise: Exercise, limbs: readonly Limb[]): string {
  let wanted = 0;
  for (const limb of limbs) wanted |= LIMB_BITS[limb];
  const letters: string[] = [];
  const places: number[] = [];
  for (const { mask, soundsTicks } of instantsOf(exercise)) {
    const playing = mask & wanted;
    if (playing === 0) continue;
    letters.push(SAID[playing] ?? 'T');
    places.push(soundsTicks);
  }
  return letters.slice(0, unitOf(letters, places, exercise.cycleTicks)).join(' ');
}

/** What sets of limbs are said as: one limb by its letter, several as T. */
const SAID = LIMB_SETS.map(([limb, ...more]) => (limb && more.length === 0 ? letterOf(limb) : 'T'));

/** How many letters come before all of them come again, as far apart as before. */
function unitOf(letters: readonly string[], places: readonly number[], cycle: number): number {
  const { length } = letters;
  const gap = (index: number) => {
    const apart = (places[(index + 1) % length] ?? 0) - (places[index] ?? 0);
    return Math.round(apart > 0 ? apart : apart + cycle);
  };
  for (let unit = 1; unit <= length / 2; unit += 1) {
    if (length % unit !== 0) continue;
    let index = unit;
    while (
      index < length &&
      letters[index] === letters[index % unit] &&
      gap(index) === gap(index % unit)
    ) {
      index += 1;
    }
    if (index === length) return unit;
  }
  return length;
}

/** The limbs that are said as one: those of the phrase and the hand, or where none is left the foot, that keeps
 * going; all of them where no two ever meet. Where there is no phrase, the two that differ most.
 * @returns null with fewer than two limbs */
export function spokenLimbs(exercise: Exercise): readonly Limb[] | null {
  const playing = LIMBS.filter((limb) => strokesOf(exercise, limb).length > 0);
  if (playing.length < 2) return null;
  if (instantsOf(exercise).every(({ limbs }) => limbs.length === 1)) return playing;
  const line = exercise.layers.filter(({ role }) => role === 'line');
  const phrase = playing.filter((limb) =>
    line.some(({ strokes }) => strokes.some((one) => one.limb === limb)),
  );
  if (phrase.length === 0) return differingLimbs(exercise);
  const others = playing.filter((limb) => !phrase.includes(limb));
  const keeps = busiest(exercise, others.filter(isHand)) ?? busiest(exercise, others);
  const spoken = playing.filter((limb) => phrase.includes(limb) || limb === keeps);
  return spoken.length > 1 ? spoken : playing.slice(0, 2);
}

function busiest(exercise: Exercise, limbs: readonly Limb[]): Limb | undefined {
  const count = (limb: Limb) => strokesOf(exercise, limb).length;
  return limbs.toSorted((a, b) => count(b) - count(a))[0];
}

/** The two limbs that differ most: fewest notes together for the notes they play. */
function differingLimbs(exercise: Exercise): readonly [Limb, Limb] | null {
  let best: { limbs: readonly [Limb, Limb]; apart: number } | null = null;
  for (const { limbs, both, first, second } of pairCounts(exercise)) {
    if (both + first === 0 || both + second === 0) continue;
    if (best === null || first + second > best.apart) best = { limbs, apart: first + second };
  }
  return best?.limbs ?? null;
}
