import { moveStrokes, type Layer } from '../pattern';
import type { Tick } from '../time';

/** Retrograde: the last slot first. Twice is as before.
 * @param slot length of a slot: of the grid that the layer is thought in
 * @example RLRRLRLL // => LLRLRRLR */
export function reverseLayer(layer: Layer, slot: Tick): Layer {
  return moveStrokes(layer, (stroke) => layer.lengthTicks - slot - stroke.at);
}
