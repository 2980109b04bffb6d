import { isHand, mirrorLimb, type Limb, type VoiceId } from '../kit';
import { loopLayer, type Layer, type Stroke } from '../pattern';
import { gcd, tick } from '../time';
import type { Substitution } from './substitute-schema';

/** Gives one of every so many strokes to another limb. Where the count does not come out even, the
 * layer loops until it does, so that nothing changes at the seam.
 * @example LRLR, the 4th of four to the bass drum // => LRLK
 * @example LRLR, the 1st of four, hands anew // => KRLR KLRL */
export function substitute(layer: Layer, rule: Substitution): Layer {
  const { every, place, to, hands } = rule;
  if (layer.strokes.length === 0) return layer;
  const whole = times(layer, every / gcd(layer.strokes.length, every));
  const given = give(whole, (index) => index % every === place - 1, to);
  if (hands === 'kept') return given;
  const handStrokes = given.strokes.filter((stroke) => isHand(stroke.limb)).length;
  return alternateHands(handStrokes % 2 === 0 ? given : times(given, 2));
}

function times(layer: Layer, count: number): Layer {
  return loopLayer(layer, tick(layer.lengthTicks * count));
}

function give(layer: Layer, taken: (index: number) => boolean, to: Substitution['to']): Layer {
  const strokes = layer.strokes.map((stroke, index) =>
    taken(index) ? { ...stroke, ...to } : stroke,
  );
  return { ...layer, strokes };
}

/** Hands alternate from the first hand on; what each hand sounds goes with the hand. */
function alternateHands(layer: Layer): Layer {
  const first = layer.strokes.find((stroke) => isHand(stroke.limb))?.limb;
  if (!first) return layer;
  const voices = new Map<Limb, VoiceId>();
  for (const { limb, voice } of layer.strokes) if (!voices.has(limb)) voices.set(limb, voice);
  let hand = mirrorLimb(first);
  const strokes = layer.strokes.map((stroke): Stroke => {
    if (!isHand(stroke.limb)) return stroke;
    hand = mirrorLimb(hand);
    if (hand === stroke.limb) return stroke;
    return { ...stroke, limb: hand, voice: voices.get(hand) ?? stroke.voice };
  });
  return { ...layer, strokes };
}
