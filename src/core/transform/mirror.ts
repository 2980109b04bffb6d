import { mirrorHand, mirrorLimb } from '../kit';
import type { Layer } from '../pattern';

/** Hands swap, feet and voices stay: RLRRLRLL → LRLLRLRR, RLLK → LRRK. */
export function mirrorHands(layer: Layer): Layer {
  return {
    ...layer,
    strokes: layer.strokes.map((stroke) => ({ ...stroke, limb: mirrorHand(stroke.limb) })),
  };
}

/** All four limbs swap, voices stay: a kit set up the other way round. */
export function mirrorLimbs(layer: Layer): Layer {
  return {
    ...layer,
    strokes: layer.strokes.map((stroke) => ({ ...stroke, limb: mirrorLimb(stroke.limb) })),
  };
}
