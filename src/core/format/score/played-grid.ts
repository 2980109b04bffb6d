import { slotTicks, TICKS_PER_QUARTER } from '../../time';

/** Grids onto which what was played can be put, the coarsest first. */
export const PLAYED_GRIDS = ['8', '8t', '16', '16t', '32'] as const;
export type PlayedGrid = (typeof PLAYED_GRIDS)[number];

/** Farther from its slot than this share of a slot, a note is doubtful: it is about as near to the next one. */
const DOUBTFUL_FROM = 0.3;

/** Sums of fractions are off by less. */
const ROUNDING = 1e-9;

/** Where a note was put. */
export interface Put {
  /** Slots from the start. */
  readonly slot: number;
  /** How much later than its slot it was played, in quarters; earlier is negative. */
  readonly off: number;
  readonly doubtful: boolean;
}

/** The slot that is nearest to a place. @param at quarters from the start, >= 0
 * @example putOn(0.26, '16').slot // => 1 */
export function putOn(at: number, grid: PlayedGrid): Put {
  const width = slotTicks(grid) / TICKS_PER_QUARTER;
  const slot = Math.round(at / width);
  const off = at - slot * width;
  return { slot, off, doubtful: Math.abs(off) > width * DOUBTFUL_FROM + ROUNDING };
}

/** The coarsest grid on which no note is doubtful; where there is none, the one with fewest of them.
 * @param places quarters from the start */
export function likelyGrid(places: readonly number[]): PlayedGrid {
  const doubtful = PLAYED_GRIDS.map(
    (grid) => places.filter((at) => putOn(at, grid).doubtful).length,
  );
  return PLAYED_GRIDS[doubtful.indexOf(Math.min(...doubtful))] ?? '16';
}
