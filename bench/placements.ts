import { Combination } from 'js-combinatorics';
import { countPlacements, placements } from '@/core/placement';
import { median, timed, type Row } from './report';

const ROUNDS = 5;

/** Slots and notes: a bar of 16ths, and two bars. */
const SIZES = [
  [16, 5],
  [16, 8],
  [24, 6],
] as const;

function count(all: Iterable<readonly number[]>): number {
  let found = 0;
  for (const one of all) found += one.length > 0 ? 1 : 0;
  return found;
}

/** Makes every placement of so many notes; the baseline makes the same sets with a combinatorics
 * library. */
export function makePlacements(): Row[] {
  return SIZES.map(([slots, notes]) => {
    const rule = { slots, least: notes, most: notes, spacing: 'any', cyclic: true } as const;
    const seed = Array.from({ length: slots }, (_, slot) => slot);
    const times = { mine: [] as number[], theirs: [] as number[] };
    for (let round = 0; round <= ROUNDS; round += 1) {
      const mine = timed(() => count(placements(rule)));
      const theirs = timed(() => count(new Combination(seed, notes)));
      if (round === 0) continue;
      times.mine.push(mine);
      times.theirs.push(theirs);
    }
    const [mine, theirs] = [median(times.mine), median(times.theirs)];
    return {
      what: `all ${countPlacements(rule)} placements of ${notes} in ${slots}`,
      measured: `${mine.toFixed(1)} ms`,
      against: `${(theirs / mine).toFixed(1)} × as fast as the combinatorics library`,
    };
  });
}
