import { unreachable } from '../issue';
import type { Reading } from '../interpret';
import { fitVoice, isHand, VOICE_IDS, type KitProfile, type Replaced, type VoiceId } from '../kit';
import type { Layer } from '../pattern';
import { mirrorHands, mirrorLimbs } from '../transform';

/** Puts layers on a kit: handedness first, then voices that the kit lacks.
 * @returns `replaced`: what was replaced by what, each voice once */
export function fitKit(
  layers: readonly Layer[],
  kit: KitProfile,
  reads: Reading,
): { readonly layers: readonly Layer[]; readonly replaced: readonly Replaced[] } {
  if (kit.handedness === 'right' && kit.voices.length === VOICE_IDS.length) {
    return { layers, replaced: [] };
  }
  const replaced = new Map<VoiceId, Replaced>();
  const has = new Set<VoiceId>(kit.voices);
  const fitted = layers.map((layer): Layer => {
    const handed = fitHands(layer, kit.handedness, reads);
    if (handed === layer && layer.strokes.every((stroke) => has.has(stroke.voice))) return layer;
    const strokes = handed.strokes.map((one, index) => {
      const { limb, voice: wrote } = layer.strokes[index] ?? one;
      const stroke = { ...one, written: one.written ?? { limb, voice: wrote } };
      if (has.has(stroke.voice)) return stroke;
      const voice = fitVoice(stroke.voice, stroke.limb, kit);
      const by = voice === stroke.voice && !isHand(stroke.limb) ? null : voice;
      if (by !== stroke.voice) replaced.set(stroke.voice, { voice: stroke.voice, by });
      return { ...stroke, voice };
    });
    return { ...handed, strokes };
  });
  return { layers: fitted, replaced: [...replaced.values()] };
}

/** Three different kinds of left-handed; see `Handedness`. Open-handed players swap what the
 * hands play on the kit, but keep a sticking's own lead. */
function fitHands(layer: Layer, handedness: KitProfile['handedness'], reads: Reading): Layer {
  switch (handedness) {
    case 'right':
      return layer;
    case 'mirrored':
      return mirrorLimbs(layer);
    case 'open-handed':
      return layer.role === 'line' && reads === 'sticking' ? layer : mirrorHands(layer);
    case 'left-lead':
      return mirrorHands(layer);
    default:
      return unreachable(handedness);
  }
}
