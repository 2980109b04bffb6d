import { formatGrid, parseGrid, type Dynamic } from '../pattern';

/** A placement as a grid string. @example placementGrid([0, 3], 4, 'normal') // => 'x--x' */
export function placementGrid(placed: readonly number[], slots: number, dynamic: Dynamic): string {
  return formatGrid(
    Array.from({ length: slots }, (_, slot) => (placed.includes(slot) ? dynamic : null)),
  );
}

/** The slots that a grid string takes; none when it cannot be read.
 * @example placementSlots('x--x') // => [0, 3] */
export function placementSlots(grid: string): readonly number[] {
  const slots = parseGrid(grid);
  return slots.ok ? slots.value.flatMap((dynamic, slot) => (dynamic === null ? [] : [slot])) : [];
}
