import { isHand, letterOf, LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { wrap } from '../time';
import { instantsOf, LIMB_BITS, pairCounts, strokesOf } from './instants';

/** The limbs said together as one rhythm until it comes again: a letter each, T where several of them play together;
 * feet are K and F.
 * @param limbs two limbs or more
 * @returns letters in order of time
 * @example quarters in the right hand, quarter triplets in the left // => 'T L R L' */
export function spokenComposite(exercise: Exercise, limbs: readonly Limb[]): string {
  const wanted = limbs.reduce((bits, limb) => bits | LIMB_BITS[limb], 0);
  const said = instantsOf(exercise).flatMap(({ mask, soundsTicks }) => {
    const playing = mask & wanted;
    if (playing === 0) return [];
    const only = limbs.find((limb) => LIMB_BITS[limb] === playing);
    return [{ letter: only === undefined ? 'T' : letterOf(only), at: soundsTicks }];
  });
  const gaps = said.map(({ at }, index) =>
    Math.round(wrap((said[(index + 1) % said.length]?.at ?? 0) - at, exercise.cycleTicks)),
  );
  const isSame = (a: number, b: number) =>
    said[a]?.letter === said[b]?.letter && gaps[a] === gaps[b];
  const unit = said.findIndex(
    (_, length) =>
      length > 0 &&
      said.length % length === 0 &&
      said.every((_one, index) => isSame(index, index % length)),
  );
  return said
    .slice(0, unit < 0 ? said.length : unit)
    .map(({ letter }) => letter)
    .join(' ');
}

/** The limbs that are said as one: those of the phrase and the hand, or where none is left the foot, that keeps
 * going; all of them where no two ever meet. Where there is no phrase, the hand that keeps going and the limb that differs
 * most from it.
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
