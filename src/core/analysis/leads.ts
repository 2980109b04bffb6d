import { isHand } from '../kit';
import { periodOf, type Layer, type Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import type { Lead } from '../sticking';
import { wrap } from '../time';

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
  return {
    cells: leadsOfCells(layer),
    bars: Array.from({ length: exercise.bars }, (_, bar) => {
      const from = bar * exercise.barTicks;
      const first = hands.find(({ at }) => at >= from && at < from + exercise.barTicks);
      return first ? leadOf(first) : null;
    }),
    next: leadOf(last) === 'R' ? 'L' : 'R',
  };
}

/** The first hand of each cell in its own order: the end of one that comes round at the start does not
 * lead it. Repeats that differ are cells of their own. */
function leadsOfCells(layer: Layer): readonly (Lead | null)[] {
  const own = layer.ownTicks ?? layer.lengthTicks;
  const period = periodOf(layer);
  const cells: { key: number; from: number; order: number; hand: Lead | null }[] = [];
  for (const stroke of layer.strokes) {
    const { from, at } = stroke;
    if (at >= period || !('onset' in from)) continue;
    const offset = from.source === 'fill' && from.gap ? from.offset : 0;
    const begins = wrap(at - offset, period);
    const key = Math.floor(begins / own) * MOST_ONSETS + from.onset;
    const last = cells.at(-1);
    let cell = last?.key === key ? last : cells.find((one) => one.key === key);
    if (!cell) cells.push((cell = { key, from: begins, order: Infinity, hand: null }));
    cell.from = Math.min(cell.from, begins);
    const order = begins + offset;
    if (!isHand(stroke.limb) || order >= cell.order) continue;
    cell.order = order;
    cell.hand = leadOf(stroke);
  }
  return cells.sort((a, b) => a.from - b.from).map(({ hand }) => hand);
}

/** More than a line has notes. */
const MOST_ONSETS = 4096;

function leadOf(stroke: Stroke): Lead {
  return stroke.limb === 'RH' ? 'R' : 'L';
}
