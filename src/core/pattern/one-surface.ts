import { isHand, voice, type VoiceId } from '../kit';
import type { Layer } from './layer';
import type { Stroke } from './stroke';

/** What hands strike on one surface at one instant is one stroke: where layers differ in its voice, the
 * later layer has it. Strokes of one voice stay as they are, and so do the feet.
 * @param layers all of one length, in the order in which they were laid over each other
 * @example an open hi-hat over closed 16ths // => the closed stroke under it gives way */
export function layOver(layers: readonly Layer[]): readonly Layer[] {
  if (!differOnSurface(layers)) return layers;
  const last = new Map<string, VoiceId>();
  for (const { strokes } of layers) {
    for (const stroke of strokes) if (isHand(stroke.limb)) last.set(place(stroke), stroke.voice);
  }
  return layers.map((layer) => {
    const strokes = layer.strokes.filter(
      (stroke) => !isHand(stroke.limb) || last.get(place(stroke)) === stroke.voice,
    );
    return strokes.length === layer.strokes.length ? layer : { ...layer, strokes };
  });
}

/** Whether one surface is struck as two voices at all, which is rare. */
function differOnSurface(layers: readonly Layer[]): boolean {
  const voices = new Map<string, VoiceId>();
  for (const { strokes } of layers) {
    for (const stroke of strokes) {
      if (!isHand(stroke.limb)) continue;
      const { surface } = voice(stroke.voice);
      const known = voices.get(surface);
      if (known === undefined) voices.set(surface, stroke.voice);
      else if (known !== stroke.voice) return true;
    }
  }
  return false;
}

function place({ at, voice: played }: Stroke): string {
  return `${at} ${voice(played).surface}`;
}
