import type { Limb, VoiceId } from '../kit';
import type { Layer, Stroke } from '../pattern';

function mapStrokes(layer: Layer, change: (stroke: Stroke) => Stroke): Layer {
  return { ...layer, strokes: layer.strokes.map(change) };
}

/** Gives everything that one limb plays to another limb and voice: letters assigned anew.
 * @example LRRL RLLR, right hand to the left foot // => LFFL FLLF */
export function giveTo(layer: Layer, from: Limb, to: { limb: Limb; voice: VoiceId }): Layer {
  return mapStrokes(layer, (stroke) => (stroke.limb === from ? { ...stroke, ...to } : stroke));
}

/** Plays on one voice what was played on another; limbs stay.
 * @param limb whose notes; every limb's when left out
 * @example hand-to-hand 16ths and backbeat, closed hi-hat to ride, LH // => the left hand's hats on the ride,
 * its snare stays */
export function revoice(layer: Layer, from: VoiceId, to: VoiceId, limb?: Limb): Layer {
  return mapStrokes(layer, (stroke) =>
    stroke.voice === from && (limb === undefined || stroke.limb === limb)
      ? { ...stroke, voice: to }
      : stroke,
  );
}

/** The feet swap what they play, each on its own pedal: what the right foot had on the bass drum
 * the left has on the hi-hat, and the reverse. With a double pedal both stay on the bass drum. */
export function swapFeet(layer: Layer): Layer {
  const double = layer.strokes.some((stroke) => stroke.limb === 'LF' && stroke.voice === 'bass');
  return mapStrokes(layer, (stroke) => {
    if (stroke.limb === 'RF') {
      const voice = stroke.voice === 'bass' && !double ? 'hat-foot' : stroke.voice;
      return { ...stroke, limb: 'LF', voice };
    }
    if (stroke.limb === 'LF') {
      return { ...stroke, limb: 'RF', voice: stroke.voice === 'hat-foot' ? 'bass' : stroke.voice };
    }
    return stroke;
  });
}
