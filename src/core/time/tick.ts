declare const tickBrand: unique symbol;

/** A place or a length in time: an integer number of ticks, 20160 to a quarter note. */
export type Tick = number & { readonly [tickBrand]: true };

/** 2^6 · 3^2 · 5 · 7, so that 32nds, triplets, quintuplets, septuplets and twelve to the beat,
 * also of a dotted quarter, fall on whole ticks. */
export const TICKS_PER_QUARTER = 20160 as Tick;

/** @throws RangeError on a fractional or unsafe number (a caller's bug) */
export function tick(ticks: number): Tick {
  if (!Number.isSafeInteger(ticks)) throw new RangeError(`${ticks} is not a whole number of ticks`);
  return ticks as Tick;
}

/** A fraction of a quarter note as ticks.
 * @throws RangeError when the fraction does not fall on a tick
 * @example quarters(1, 3) // => 6720 */
export function quarters(numerator: number, denominator = 1): Tick {
  return tick((TICKS_PER_QUARTER * numerator) / denominator);
}

/** Greatest common divisor; both integers, not both zero; the result is positive. */
export function gcd(a: number, b: number): number {
  return b === 0 ? Math.abs(a) : gcd(b, a % b);
}

/** Least common multiple of positive integers.
 * @example lcm(3, 16) // => 48 */
export function lcm(a: number, b: number): number {
  return (a / gcd(a, b)) * b;
}

/** The place in a cycle, from 0 up to but not including its length, also for negative places.
 * @example wrap(-1, 16) // => 15 */
export function wrap(at: number, length: number): number {
  return ((at % length) + length) % length;
}
