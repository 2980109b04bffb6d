import { quarters, type Tick } from './tick';

/** Which off-beat of its beat a part swings where its places alone do not tell: parts in 16ths swing
 * as 16ths; what belongs to a written tuplet, or to an even grid finer than 16ths, does not swing.
 * Left out, 8ths swing as 8ths. */
export type SwingOf = '16' | 'none';

/** Grids of equal slots, each with its length in ticks. */
export const SUBDIVISIONS = [
  { id: '4', slotTicks: quarters(1) },
  { id: '4t', slotTicks: quarters(2, 3) },
  { id: '8', slotTicks: quarters(1, 2) },
  { id: '8t', slotTicks: quarters(1, 3) },
  { id: '16', slotTicks: quarters(1, 4) },
  { id: '16t', slotTicks: quarters(1, 6) },
  { id: '5', slotTicks: quarters(1, 5) },
  { id: '7', slotTicks: quarters(1, 7) },
  { id: '32', slotTicks: quarters(1, 8) },
  { id: '9', slotTicks: quarters(1, 9) },
  { id: '12', slotTicks: quarters(1, 12) },
] as const satisfies readonly { id: string; slotTicks: Tick }[];

export type SubdivisionId = (typeof SUBDIVISIONS)[number]['id'];

export const SUBDIVISION_IDS: readonly SubdivisionId[] = SUBDIVISIONS.map(({ id }) => id);

function subdivision(id: SubdivisionId): (typeof SUBDIVISIONS)[number] {
  const found = SUBDIVISIONS.find((s) => s.id === id);
  if (!found) throw new RangeError(`${id} is not a subdivision`);
  return found;
}

/** Length of one slot in ticks. */
export function slotTicks(id: SubdivisionId): Tick {
  return subdivision(id).slotTicks;
}

/** Whether slots halve the quarter, or the 8th, again and again: no tuplets. */
export function isBinarySlot(slot: number): boolean {
  return Number.isInteger(Math.log2(quarters(4) / slot));
}

/** What swings in a part that is written in these slots; undefined is 8ths. */
export function swingOfSlot(slot: number): SwingOf | undefined {
  if (!isBinarySlot(slot) || slot < quarters(1, 4)) return 'none';
  return slot === quarters(1, 4) ? '16' : undefined;
}
