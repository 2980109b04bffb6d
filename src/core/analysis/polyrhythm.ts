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

/** The first place from which two limbs go in even steps until they meet again, so many against so many, none of
 * them a multiple of the other. Null where there is none. */
export function polyrhythmOf(exercise: Exercise): Polyrhythm | null {
  const { cycleTicks } = exercise;
  for (const { limbs, both, first: alone, second: others } of pairCounts(exercise)) {
    if (both === 0 || alone === 0 || others === 0) continue;
    const [one, other] = [LIMB_BITS[limbs[0]], LIMB_BITS[limbs[1]]];
    const chain = instantsOf(exercise).filter(({ mask }) => (mask & (one | other)) !== 0);
    const meets = chain.flatMap(({ mask }, index) => (mask & one && mask & other ? [index] : []));
    for (const [nth, from] of meets.entries()) {
      const to = meets[nth + 1] ?? (meets[0] ?? 0) + chain.length;
      const span = Array.from({ length: to - from }, (_, step) => {
        const found = chain[(from + step) % chain.length];
        const past = from + step >= chain.length ? cycleTicks : 0;
        return { at: (found?.at ?? 0) + past, mask: found?.mask ?? 0 };
      });
      const start = span[0]?.at ?? 0;
      const end = (chain[to % chain.length]?.at ?? 0) + (to >= chain.length ? cycleTicks : 0);
      const counts = [one, other].map((bit) => evenSteps(span, bit, start, end));
      const [first = 0, second = 0] = counts;
      if (first < 2 || second < 2 || gcd(first, second) !== 1) continue;
      const said = span.map(({ mask }) =>
        mask & one && mask & other ? 'T' : letterOf(limbs[mask & one ? 0 : 1]),
      );
      return {
        ...{ at: tick(start % cycleTicks), limbs },
        ...{ counts: [first, second], said: said.join(' ') },
      };
    }
  }
  return null;
}

/** How many even steps a limb takes from where it meets another to where they meet again; 0 where they are
 * uneven. */
function evenSteps(
  span: readonly { readonly at: number; readonly mask: number }[],
  bit: number,
  start: number,
  end: number,
): number {
  const places = span.filter(({ mask }) => (mask & bit) !== 0).map(({ at }) => at);
  const step = (end - start) / places.length;
  return places.every((at, index) => at === start + index * step) ? places.length : 0;
}
