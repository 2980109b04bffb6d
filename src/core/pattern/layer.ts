import { gcd, lcm, tick, wrap, type Tick } from '../time';
import { inTimeOrder, type Stroke } from './stroke';

/** Strokes that belong together and loop with their own length. */
export interface Layer {
  readonly role: 'over' | 'line';
  readonly name: string;
  readonly lengthTicks: Tick;
  /** Its own length, where it was looped since. */
  readonly ownTicks?: Tick;
  /** Sorted; every `at` is from 0 up to, not including, `lengthTicks`. */
  readonly strokes: readonly Stroke[];
}

/** Repeats a layer until it fills a cycle.
 * @param cycleTicks a multiple of the layer's length
 * @throws RangeError otherwise (a caller's bug) */
export function loopLayer(layer: Layer, cycleTicks: Tick): Layer {
  const times = cycleTicks / layer.lengthTicks;
  if (!Number.isInteger(times)) {
    throw new RangeError(`${layer.lengthTicks} ticks do not fill ${cycleTicks}`);
  }
  if (times === 1) return layer;
  const strokes: Stroke[] = [];
  for (let pass = 0; pass < times; pass += 1) {
    for (const stroke of layer.strokes) {
      strokes.push({ ...stroke, at: tick(stroke.at + pass * layer.lengthTicks) });
    }
  }
  const ownTicks = layer.ownTicks ?? layer.lengthTicks;
  return { ...layer, lengthTicks: cycleTicks, ownTicks, strokes };
}

/** Layers looped until they realign with the bar.
 * @param mostBars longest cycle that is made
 * @returns the bars they would need where that is more */
export function alignLayers(
  layers: readonly Layer[],
  bar: Tick,
  mostBars: number,
): readonly Layer[] | number {
  const cycle = commonCycle([bar, ...layers.map((layer) => layer.lengthTicks)]);
  if (cycle / bar > mostBars) return cycle / bar;
  return layers.map((layer) => loopLayer(layer, cycle));
}

/** Repeats a layer up to a length and ends it there, in the middle of a repeat if it must be. */
export function cutLayer(layer: Layer, lengthTicks: Tick): Layer {
  const times = Math.ceil(lengthTicks / layer.lengthTicks);
  const whole = loopLayer(layer, tick(layer.lengthTicks * times));
  const ownTicks = tick(Math.min(layer.ownTicks ?? layer.lengthTicks, lengthTicks));
  const strokes = whole.strokes.filter(({ at }) => at < lengthTicks);
  return { ...whole, lengthTicks, ownTicks, strokes };
}

/** The strokes of all layers by time; at one instant and limb, in the order of the layers. */
export function mergeStrokes(layers: readonly Layer[]): readonly Stroke[] {
  let merged: readonly Stroke[] = [];
  for (const { strokes } of layers) {
    const sorted = isInOrder(strokes) ? strokes : [...strokes].sort(inTimeOrder);
    merged = merged.length === 0 ? sorted : mergeTwo(merged, sorted);
  }
  return merged;
}

function isInOrder(strokes: readonly Stroke[]): boolean {
  let before: Stroke | undefined;
  for (const stroke of strokes) {
    if (before && inTimeOrder(before, stroke) > 0) return false;
    before = stroke;
  }
  return true;
}

function mergeTwo(first: readonly Stroke[], second: readonly Stroke[]): readonly Stroke[] {
  const merged: Stroke[] = [];
  let next = 0;
  for (const stroke of first) {
    for (let other = second[next]; other && inTimeOrder(other, stroke) < 0; other = second[next]) {
      merged.push(other);
      next += 1;
    }
    merged.push(stroke);
  }
  for (; next < second.length; next += 1) {
    const rest = second[next];
    if (rest) merged.push(rest);
  }
  return merged;
}

/** Moves every stroke through a change of place within the layer, cyclically, and sorts. */
export function moveStrokes(layer: Layer, move: (stroke: Stroke) => number): Layer {
  const strokes = layer.strokes.map((stroke) => ({
    ...stroke,
    at: tick(wrap(move(stroke), layer.lengthTicks)),
  }));
  return { ...layer, strokes: strokes.sort(inTimeOrder) };
}

/** Ticks until parts of these lengths begin together again.
 * @param lengths positive, at least one */
export function commonCycle(lengths: readonly Tick[]): Tick {
  return tick(lengths.reduce<number>((sum, length) => lcm(sum, length), lengths[0] ?? 1));
}

/** Slots until a phrase and a bar begin together again.
 * @param phraseSlots length of the phrase in slots, >= 1  @param barSlots slots in a bar, >= 1
 * @returns slots, a common multiple of both; divide by `barSlots` for bars
 * @throws RangeError on a non-positive or fractional length (a caller's bug)
 * @example cycleSlots(3, 16) // => 48 */
export function cycleSlots(phraseSlots: number, barSlots: number): number {
  for (const slots of [phraseSlots, barSlots]) {
    if (!Number.isInteger(slots) || slots < 1) throw new RangeError(`${slots} is not a length`);
  }
  return lcm(phraseSlots, barSlots);
}

/** The coarsest grid within a beat on which all strokes of a layer fall. */
export function gridOf(strokes: readonly Stroke[], beatTicks: Tick): Tick {
  return tick(strokes.reduce<number>((grid, stroke) => gcd(grid, stroke.at), beatTicks));
}
