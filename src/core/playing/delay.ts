/** Taps that are asked for, and how many of them must lie within so many ms of their middle; common practice, no
 * source: people tap along within about 30 ms. */
export const DELAY_TAPS = 8;
const WITHIN_MS = 60;
const MOST_OUTSIDE = 2;

/** Most that sound may be set to come late. Ms. */
export const MOST_DELAY_MS = 500;

/** By how much sound is heard late, from taps along with clicks.
 * @param offsets of each tap from the click that is nearest to it, in ms; early ones are negative
 * @returns the middle one in whole ms; null with too few taps, or where they are too uneven to tell
 * @example delayOfTaps([78, 82, 80, 79, 85, 80, 300, 81]) // => 81 */
export function delayOfTaps(offsets: readonly number[]): number | null {
  if (offsets.length < DELAY_TAPS) return null;
  const sorted = [...offsets].sort((a, b) => a - b);
  const middle = sorted[sorted.length >> 1] ?? 0;
  const outside = sorted.filter((one) => Math.abs(one - middle) > WITHIN_MS).length;
  return outside > MOST_OUTSIDE ? null : Math.round(middle);
}
