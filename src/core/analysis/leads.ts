import { isHand } from '../kit';
import type { Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import type { Lead } from '../sticking';

/** Which hand leads, where a line is read as a sticking. */
export interface Leads {
  /** The first hand of each cell; null for a cell of feet alone. */
  readonly cells: readonly (Lead | null)[];
  /** The first hand of each bar of the cycle. */
  readonly bars: readonly (Lead | null)[];
  /** The hand that would naturally follow the end: the other one than played last. */
  readonly next: Lead | null;
}

/** @returns null for what is not read as a sticking, or has no hands
 * @example RLL RLL RLL RLL RLRR // => cells R R R R R, next L */
export function leadsOf(exercise: Exercise): Leads | null {
  const layer = exercise.layers.find((one) => one.role === 'line');
  if (exercise.reads !== 'sticking' || !layer) return null;
  const hands = layer.strokes.filter((stroke) => isHand(stroke.limb));
  const last = hands.at(-1);
  if (!last) return null;
  const own = layer.ownTicks ?? layer.lengthTicks;
  const cells = new Map<number, Lead | null>();
  for (const stroke of layer.strokes) {
    if (stroke.at >= own || !('onset' in stroke.from)) continue;
    const { onset } = stroke.from;
    if ((cells.get(onset) ?? null) === null) {
      cells.set(onset, isHand(stroke.limb) ? leadOf(stroke) : null);
    }
  }
  return {
    cells: [...cells.values()],
    bars: Array.from({ length: exercise.bars }, (_, bar) => {
      const from = bar * exercise.barTicks;
      const first = hands.find(({ at }) => at >= from && at < from + exercise.barTicks);
      return first ? leadOf(first) : null;
    }),
    next: leadOf(last) === 'R' ? 'L' : 'R',
  };
}

function leadOf(stroke: Stroke): Lead {
  return stroke.limb === 'RH' ? 'R' : 'L';
}
