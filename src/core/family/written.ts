import { isAt, type AxisPlace } from './edit';
import { memberAt, type OpenedFamily } from './members';
import type { Axis, Family } from './schema';

/** Whether members stand in the order of their values: as the teacher says, else where a phrase was typed as
 * a list. */
export function standsAsWritten({ written, order, axes }: Family): boolean {
  return order === null && (written ?? axes.some(isTyped));
}

/** Typed values have no place among the materials. */
function isTyped(axis: Axis): boolean {
  if (axis.at !== 'play' && axis.at !== 'over') return false;
  const values = axis.values.filter((value) => value !== null);
  return values.length > 1 && values.every((value) => value.id === undefined);
}

/** Which of the axes it is, −1 for none. */
export function axisAt(axes: readonly Axis[], place: AxisPlace | undefined): number {
  return place === undefined ? -1 : axes.findIndex((axis) => isAt(axis, place));
}

/** Members in the order of their values: the last phrase runs fastest, as one reads; or all of them with the
 * first value of one phrase, then all with its second.
 * @param members by their index @param passes place of that phrase among the axes, −1 for none
 * @example ten patterns, each as it is and with the left hand on the ride, in passes of the change // => 1 to 10,
 * then 1 to 10 again */
export function orderAsWritten(
  opened: OpenedFamily,
  members: readonly number[],
  passes = -1,
): readonly number[] {
  const rising = [...members].sort((a, b) => a - b);
  if (passes < 0) return rising;
  const passOf = (index: number) => memberAt(opened, index).choice[passes] ?? 0;
  return rising
    .map((index) => ({ index, pass: passOf(index) }))
    .sort((a, b) => a.pass - b.pass || a.index - b.index)
    .map((one) => one.index);
}
