import { isHand, type Limb } from '../kit';
import { loopLayer, type Layer, type Stroke } from '../pattern';
import { onBeat, tick, type Meter } from '../time';
import type { Orchestration } from './orchestrate-schema';
import { CHOSEN_NOTES } from './data';

export type ChosenNotes = (typeof CHOSEN_NOTES)[number];

/** Plays the chosen notes on another surface; limbs and dynamics stay.
 * @param layers all of one length; `mine` tells which of them the rule is about
 * @example lone left-hand notes to the floor tom */
export function orchestrate(
  layers: readonly Layer[],
  rule: Orchestration,
  mine: (layer: Layer) => boolean,
  meter: Meter,
): readonly Layer[] {
  const length = layers[0]?.lengthTicks ?? 0;
  const whole =
    rule.pass === 'every'
      ? layers
      : layers.map((layer) => loopLayer(layer, tick(layer.lengthTicks * 2)));
  const chosen = chooser(whole, rule.notes, meter);
  return whole.map((layer) => {
    if (!mine(layer)) return layer;
    const strokes = layer.strokes.map((stroke) => {
      const limb = rule.limb === null ? isHand(stroke.limb) : stroke.limb === rule.limb;
      const pass = rule.pass === 'every' || stroke.at >= length;
      return limb && pass && chosen(stroke) ? { ...stroke, voice: rule.to } : stroke;
    });
    return { ...layer, strokes };
  });
}

function chooser(layers: readonly Layer[], notes: ChosenNotes, meter: Meter) {
  const limbs = new Map<number, Set<Limb>>();
  for (const { at, limb } of layers.flatMap((layer) => layer.strokes)) {
    limbs.set(at, (limbs.get(at) ?? new Set()).add(limb));
  }
  return ({ at, dynamic }: Stroke): boolean => {
    switch (notes) {
      case 'all':
        return true;
      case 'lone':
        return limbs.get(at)?.size === 1;
      case 'unisons':
        return (limbs.get(at)?.size ?? 0) > 1;
      case 'accents':
        return dynamic === 'accent';
      case 'ghosts':
        return dynamic === 'ghost';
      case 'on the beat':
        return onBeat(at, meter);
      case 'off the beat':
        return !onBeat(at, meter);
    }
  };
}
