import { lcm, tick, wrap, type Tick } from '../time';
import { asTail, fillsFromBefore, inTimeOrder, strokeAt, type Stroke } from './stroke';

/** A slot of a typed sticking, played or not. */
export interface WordSlot {
  readonly at: Tick;
  readonly ticks: Tick;
  /** The word that it belongs to, from 0. */
  readonly word: number;
}

/** A change, as far as a layer needs to know it. */
export interface AddedBy {
  readonly kind: string;
}

/** Strokes that belong together and loop with their own length. */
export interface Layer {
  readonly role: 'over' | 'line';
  /** As the ingredient is called; empty where a change added it. */
  readonly name: string;
  /** The change that added it. */
  readonly added?: AddedBy;
  readonly lengthTicks: Tick;
  /** Its own length, where it was looped since. */
  readonly ownTicks?: Tick;
  /** The slots of a typed sticking over its own length, in order, each with its word. */
  readonly words?: readonly WordSlot[];
  /** Places of its own length, in ticks, where a moved accent found no note. */
  readonly lostAccents?: readonly Tick[];
  /** In a sequence, the member that it belongs to, from 0. */
  readonly member?: number;
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
  const known = layer.role === 'over' ? LOOPED.get(layer) : undefined;
  if (known?.lengthTicks === cycleTicks) return known;
  const strokes: Stroke[] = [];
  for (let pass = 0; pass < times; pass += 1) {
    for (const stroke of layer.strokes) {
      const later = strokeAt(stroke, tick(stroke.at + pass * layer.lengthTicks));
      strokes.push(pass > 0 ? asTail(later, false) : later);
    }
  }
  const ownTicks = layer.ownTicks ?? layer.lengthTicks;
  const looped = { ...layer, lengthTicks: cycleTicks, ownTicks, strokes };
  if (layer.role === 'over') LOOPED.set(layer, looped);
  return looped;
}

/** A layer as it was looped last: a family loops the same ostinato to the same bar over and over. */
const LOOPED = new WeakMap<Layer, Layer>();

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

/** Repeats a layer up to a length and ends it there, in the middle of a repeat if it must be. The end of
 * a phrase that wraps to the start is left out where the cut takes its beginning away. */
export function cutLayer(layer: Layer, lengthTicks: Tick): Layer {
  const times = Math.ceil(lengthTicks / layer.lengthTicks);
  const whole = loopLayer(layer, tick(layer.lengthTicks * times));
  const ownTicks = tick(Math.min(layer.ownTicks ?? layer.lengthTicks, lengthTicks));
  const isWhole = lengthTicks % layer.lengthTicks === 0;
  const strokes = whole.strokes.filter(({ at, tail }) => at < lengthTicks && (isWhole || !tail));
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
  let inOrder = true;
  let before = -1;
  const strokes = layer.strokes.map((stroke) => {
    const at = tick(wrap(move(stroke), layer.lengthTicks));
    inOrder &&= at > before;
    before = at;
    return strokeAt(stroke, at);
  });
  return { ...layer, strokes: inOrder ? strokes : strokes.sort(inTimeOrder) };
}

/** How long a layer is until it repeats: its own length, or more where a change made its repeats
 * differ. @returns ticks, a divisor of its length */
export function periodOf(layer: Layer): Tick {
  const own = layer.ownTicks ?? layer.lengthTicks;
  for (let period: number = own; period < layer.lengthTicks; period += own) {
    if (layer.lengthTicks % period === 0 && repeatsAfter(layer, period)) return tick(period);
  }
  return layer.lengthTicks;
}

function repeatsAfter({ strokes, lengthTicks }: Layer, period: number): boolean {
  const each = (strokes.length * period) / lengthTicks;
  if (!Number.isInteger(each)) return false;
  return strokes.every((stroke, index) => {
    const later = strokes[index + each];
    return (
      later === undefined ||
      (later.at - stroke.at === period &&
        later.limb === stroke.limb &&
        later.voice === stroke.voice &&
        later.dynamic === stroke.dynamic &&
        later.ornament === stroke.ornament &&
        later.texture === stroke.texture)
    );
  });
}

/** One repeat of a layer; the reverse of `loopLayer`. */
export function unloopLayer(layer: Layer): Layer {
  const lengthTicks = periodOf(layer);
  if (lengthTicks === layer.lengthTicks) return layer;
  const strokes = layer.strokes.filter(({ at }) => at < lengthTicks);
  const { ownTicks: _, ...once } = layer;
  return { ...once, lengthTicks, strokes };
}

/** Moves a whole layer later, or earlier where negative, cyclically. What fills a gap stays with its
 * note: where that moves over the end, it becomes a tail. */
export function shiftLayer(layer: Layer, by: number): Layer {
  const moved = moveStrokes(layer, (stroke) => stroke.at + by);
  if (!moved.strokes.some((one) => one.from.source === 'fill' && one.from.gap)) return moved;
  const strokes = moved.strokes.map((one) => asTail(one, fillsFromBefore(one, one.at)));
  return { ...moved, strokes };
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
