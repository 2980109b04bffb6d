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
  const cells = new Map<string, { from: number; lead: { at: number; hand: Lead } | null }>();
  for (const stroke of layer.strokes) {
    const { from, at } = stroke;
    if (at >= period || !('onset' in from)) continue;
    const offset = from.source === 'fill' ? from.offset : 0;
    const begins = from.source === 'fill' && from.gap ? wrap(at - offset, period) : at;
    const key = `${Math.floor(begins / own)} ${from.onset}`;
    const cell = cells.get(key) ?? { from: begins, lead: null };
    const order = begins === at ? at : begins + offset;
    const first = isHand(stroke.limb) && (cell.lead === null || order < cell.lead.at);
    const lead = first ? { at: order, hand: leadOf(stroke) } : cell.lead;
    cells.set(key, { from: Math.min(cell.from, begins), lead });
  }
  return [...cells.values()].sort((a, b) => a.from - b.from).map(({ lead }) => lead?.hand ?? null);
}

function leadOf(stroke: Stroke): Lead {
  return stroke.limb === 'RH' ? 'R' : 'L';
}
