import { asTail, moveStrokes, type Layer, type Stroke } from '../pattern';
import { tick, type Tick } from '../time';

/** Retrograde: the last slot first. Twice is as before.
 * @param slot length of a slot: of the grid that the layer is thought in
 * @example RLRRLRLL // => LLRLRRLR */
export function reverseLayer(layer: Layer, slot: Tick): Layer {
  const { strokes, words, ...turned } = moveStrokes(
    layer,
    ({ at }) => layer.lengthTicks - slot - at,
  );
  const own = layer.ownTicks ?? layer.lengthTicks;
  const reversed = words?.map((one) => ({ ...one, at: tick(own - one.ticks - one.at) })).reverse();
  return { ...turned, strokes: strokes.map(free), ...(reversed && { words: reversed }) };
}

/** What is played backwards follows no note: nothing of it waits for one to have sounded. */
function free(stroke: Stroke): Stroke {
  const whole = asTail(stroke, false);
  if (whole.from.source !== 'fill' || !whole.from.gap) return whole;
  const { gap: _, ...from } = whole.from;
  return { ...whole, from };
}
