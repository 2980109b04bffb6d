import type { RepeatSigns } from './score';

/** Most bars that repeats are written out to. */
const MOST_PLAYED = 5000;

/** Indexes of bars in the order in which they are played, repeats and endings followed.
 * @param bars in the order written
 * @param plainOnce what is repeated as it is, without endings, is taken once
 * @returns at most 5,000 indexes
 * @example playOrder of |: A :| B // => [0, 0, 1] */
export function playOrder(
  bars: readonly { readonly repeats: RepeatSigns }[],
  plainOnce: boolean,
): readonly number[] {
  const order: number[] = [];
  let start = 0;
  let pass = 1;
  let index = 0;
  while (index < bars.length && order.length < MOST_PLAYED) {
    const { from, times, passes } = bars[index]?.repeats ?? {
      from: false,
      times: null,
      passes: null,
    };
    if (from && index !== start) {
      start = index;
      pass = 1;
    }
    if (passes && !passes.includes(pass)) {
      index += 1;
      continue;
    }
    order.push(index);
    const endings = passes ? endingsFrom(bars, start, index) : [];
    const whole = endings.length > 0 ? Math.max(...endings) : plainOnce ? 1 : (times ?? 1);
    if (times !== null && pass < whole) {
      pass += 1;
      index = start;
      continue;
    }
    const leaves = passes !== null && bars[index + 1]?.repeats.passes !== passes;
    if (times !== null || leaves) {
      start = index + 1;
      pass = 1;
    }
    index += 1;
  }
  return order;
}

/** The passes of all endings that follow one another where a repeat began. */
function endingsFrom(
  bars: readonly { readonly repeats: RepeatSigns }[],
  start: number,
  index: number,
): readonly number[] {
  const found: number[] = [];
  for (let at = start; at < bars.length; at += 1) {
    const passes = bars[at]?.repeats.passes;
    if (passes) found.push(...passes);
    else if (at > index) break;
  }
  return found;
}
