import {
  commonCycle,
  inTimeOrder,
  loopLayer,
  type AddedBy,
  type Layer,
  type Stroke,
} from '../pattern';
import type { Tick } from '../time';

/** Adds strokes as a layer of their own, looped with the others. What is there already stays as it
 * is: a stroke of the same limb on the same voice at the same instant is not added again, so an
 * anchor stays loudest.
 * @param layers all of one length
 * @param lengthTicks length in which the strokes go round; by default that of the layers. Where the
 * two differ, everything is looped to their common cycle. */
export function addStrokes(
  layers: readonly Layer[],
  by: AddedBy,
  strokes: readonly Stroke[],
  lengthTicks?: Tick,
): readonly Layer[] {
  const [first] = layers;
  if (!first || strokes.length === 0) return layers;
  const own = lengthTicks ?? first.lengthTicks;
  const cycle = commonCycle([first.lengthTicks, own]);
  const whole = layers.map((layer) => loopLayer(layer, cycle));
  const added = loopLayer({ role: 'over', name: '', added: by, lengthTicks: own, strokes }, cycle);
  const taken = new Set(whole.flatMap((layer) => layer.strokes.map(key)));
  const fresh = added.strokes.filter((stroke) => !taken.has(key(stroke)));
  const once = [...new Map(fresh.map((stroke) => [key(stroke), stroke])).values()];
  return [...whole, { ...added, strokes: once.sort(inTimeOrder) }];
}

function key({ at, limb, voice }: Stroke): string {
  return `${at} ${limb} ${voice}`;
}
