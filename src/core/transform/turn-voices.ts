import { usualLimb, type Limb, type VoiceId } from '../kit';
import type { Layer } from '../pattern';
import { wrap } from '../time';
import type { VoiceTurn } from './turn-voices-schema';

/** The new order as letters. @example turn 1 of three // => 'BCA'; reversed // => 'ACB' */
export function turnLetters({ voices, turn, reversed }: VoiceTurn): string {
  return voices.map((_, index) => letter(image(index, voices.length, turn, reversed))).join('');
}

function letter(index: number): string {
  return String.fromCharCode(65 + index);
}

function image(index: number, count: number, turn: number, reversed: boolean): number {
  const place = wrap(index + turn, count);
  return reversed ? wrap(-place, count) : place;
}

/** Rotates or inverts a cell: each stroke on one of the voices sounds the voice that stands in its
 * place in the new order, played by the limb that plays that voice. Rhythm and dynamics stay.
 * @param mine tells which layers the rule is about
 * @example bass drum, high tom, floor tom turned by 1: ABC ABC // => BCA BCA */
export function turnVoices(
  layers: readonly Layer[],
  rule: VoiceTurn,
  mine: (layer: Layer) => boolean,
): readonly Layer[] {
  const { voices, turn, reversed } = rule;
  const limbs = new Map<VoiceId, Limb>();
  for (const { voice, limb } of layers.filter(mine).flatMap((layer) => layer.strokes)) {
    if (!limbs.has(voice)) limbs.set(voice, limb);
  }
  return layers.map((layer) => {
    if (!mine(layer)) return layer;
    const strokes = layer.strokes.map((stroke) => {
      const index = voices.indexOf(stroke.voice);
      const voice = voices[image(index, voices.length, turn, reversed)];
      if (index < 0 || voice === undefined || voice === stroke.voice) return stroke;
      return { ...stroke, voice, limb: limbs.get(voice) ?? usualLimb(voice) };
    });
    return { ...layer, strokes };
  });
}
