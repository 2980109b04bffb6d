/** How much of a long sample is tried in each run; all of it by `npm run test:long`. */
const SHARE = process.env.MIVVEL_SAMPLES === 'long' ? 1 : 0.2;

/** No sample is smaller than this, unless it is meant to be. */
const FEWEST = 10;

/** How many cases of a sample are tried in this run.
 * @param long cases that the long run tries
 * @param short cases that a short run tries, where each takes so long that a fifth would be many
 * @example in a short run samples(500) // => 100, samples(25) // => 10, samples(8) // => 8, samples(500, 20) // => 20 */
export function samples(
  long: number,
  short = Math.max(long * SHARE, Math.min(long, FEWEST)),
): number {
  return SHARE === 1 ? long : Math.ceil(short);
}

/** As many of a list, spread evenly over it; which ones is the same in every run.
 * @example in a short run some of 100 ids are the 1st, 6th, 11th and so on */
export function some<T>(all: readonly T[]): readonly T[] {
  const step = all.length / samples(all.length);
  return all.filter((_, index) => Math.floor(index / step) !== Math.floor((index - 1) / step));
}
