import { slotTicks, SUBDIVISION_IDS, TICKS_PER_QUARTER, type SubdivisionId } from '../../time';

/** Grids onto which what was played can be put, the likeliest first: fives and sevens only where nothing else fits. */
const ONE_GRID = ['8', '8t', '16', '16t', '32', '5', '7'] as const;
type OneGrid = (typeof ONE_GRID)[number];

/** One grid for a whole file, or for each of its beats the one that fits there. */
export const PLAYED_GRIDS = ['beats', ...ONE_GRID] as const;
export type PlayedGrid = (typeof PLAYED_GRIDS)[number];

/** Farther from its slot than this share of a slot, a note is doubtful: it is about as near to the next one. */
const DOUBTFUL_FROM = 0.3;

/** Sums of fractions are off by less. */
const ROUNDING = 1e-9;

/** Where a note was put. */
export interface Put {
  readonly grid: SubdivisionId;
  /** Slots of this grid from where places are counted. */
  readonly slot: number;
  /** How much later than its slot it was played, in quarters; earlier is negative. */
  readonly off: number;
  readonly doubtful: boolean;
}

/** The slot that is nearest to a place. @param at quarters, >= 0
 * @example putOn(0.26, '16').slot // => 1 */
export function putOn(at: number, grid: SubdivisionId): Put {
  const width = slotTicks(grid) / TICKS_PER_QUARTER;
  const slot = Math.round(at / width);
  const off = at - slot * width;
  return { grid, slot, off, doubtful: Math.abs(off) > width * DOUBTFUL_FROM + ROUNDING };
}

/** The first grid on which no place is doubtful; where there is none, the one with fewest that are.
 * @param places quarters, all from one start */
export function likelyGrid(places: readonly number[]): OneGrid {
  const doubtful = ONE_GRID.map((grid) => places.filter((at) => putOn(at, grid).doubtful).length);
  return ONE_GRID[doubtful.indexOf(Math.min(...doubtful))] ?? '16';
}

/** The coarsest grid of all on which every place lies, off by no more than `tolerance` quarters; null where none holds
 * them. @param places quarters from a beat */
export function exactGrid(places: readonly number[], tolerance: number): SubdivisionId | null {
  const isOn = (grid: SubdivisionId, at: number) => Math.abs(putOn(at, grid).off) <= tolerance;
  return (
    SUBDIVISION_IDS.find((grid) => BEAT_LONG.has(grid) && places.every((at) => isOn(grid, at))) ??
    null
  );
}

/** Grids of whole quarters. */
const BEAT_LONG = new Set(
  SUBDIVISION_IDS.filter((grid) => TICKS_PER_QUARTER % slotTicks(grid) === 0),
);
