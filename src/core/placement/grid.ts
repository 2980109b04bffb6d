import { formatGrid, parseGrid, type Dynamic } from '../pattern';

/** A placement as a grid string; anchors are accented among softer notes.
 * @example placementGrid([0, 3], 4, 'normal') // => 'x--x'
 * @example placementGrid([0, 3], 4, 'ghost', [0]) // => 'X--g' */
export function placementGrid(
  placed: readonly number[],
  slots: number,
  dynamic: Dynamic,
  anchors: readonly number[] = [],
): string {
  return formatGrid(
    Array.from({ length: slots }, (_, slot) =>
      placed.includes(slot) ? (anchors.includes(slot) ? 'accent' : dynamic) : null,
    ),
  );
}

/** The slots that a grid string takes; none when it cannot be read.
 * @example placementSlots('x--x') // => [0, 3] */
export function placementSlots(grid: string): readonly number[] {
  const slots = parseGrid(grid);
  return slots.ok ? slots.value.flatMap((dynamic, slot) => (dynamic === null ? [] : [slot])) : [];
}
