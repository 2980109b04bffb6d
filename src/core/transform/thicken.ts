import type { Limb } from '../kit';
import type { AddedBy, Layer, Stroke } from '../pattern';
import { onBeat, swingOfSlot, tick, wrap, type Meter, type Tick } from '../time';
import { addStrokes } from './add';
import type { Thickening } from './thicken-schema';
import { THINNINGS } from './data';

/** Adds notes next to anchors, over the seam too. An anchor itself is never added to, nor is a
 * place where the adding limb already plays.
 * @param slot distance of the notes from the anchor and from each other
 * @example backbeat on 4 and 12 of 16, one snare before // => 3 and 11 */
export function thicken(
  layers: readonly Layer[],
  rule: Thickening,
  slot: Tick,
  by: AddedBy,
): readonly Layer[] {
  const length = layers[0]?.lengthTicks ?? slot;
  const all = layers.flatMap((layer) => layer.strokes);
  const anchors = new Set(all.filter((stroke) => isAnchor(stroke, rule)).map(({ at }) => at));
  const busy = new Set(all.filter(({ limb }) => limb === rule.to.limb).map(({ at }) => at));
  const places = new Set<number>();
  for (const anchor of anchors) {
    for (let step = 1; step <= rule.count; step += 1) {
      if (rule.side !== 'after') places.add(wrap(anchor - step * slot, length));
      if (rule.side !== 'before') places.add(wrap(anchor + step * slot, length));
    }
  }
  const swings = swingOfSlot(slot);
  const added = [...places]
    .filter((at) => !anchors.has(tick(at)) && !busy.has(tick(at)))
    .map((at): Stroke => ({
      at: tick(at),
      ...rule.to,
      dynamic: rule.dynamic,
      slot,
      ...(swings && { swings }),
      from: { source: 'added', by: 'thicken' },
    }));
  return addStrokes(layers, by, added);
}

function isAnchor(stroke: Stroke, { around }: Thickening): boolean {
  return around === 'accents' ? stroke.dynamic === 'accent' : stroke.voice === around;
}

type Thinning = (typeof THINNINGS)[number];

/** Takes notes of one limb away around its anchors: all but the accents, all but those on the felt
 * beats, or every other one from the second. */
export function thin(layer: Layer, limb: Limb, keep: Thinning, meter: Meter): Layer {
  let number = -1;
  const strokes = layer.strokes.filter((stroke) => {
    if (stroke.limb !== limb) return true;
    number += 1;
    if (keep === 'accents') return stroke.dynamic === 'accent';
    return keep === 'beats' ? onBeat(stroke.at, meter) : number % 2 === 0;
  });
  return { ...layer, strokes };
}
