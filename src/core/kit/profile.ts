import { mirrorLimb, isHand, type Limb } from './limb';
import type { KitProfile } from './schema';
import { VOICE_IDS } from './voice';

export const FULL_KIT: KitProfile = { name: 'full kit', handedness: 'right', voices: VOICE_IDS };

/** Hands swap, feet stay: RLLK → LRRK. */
export function mirrorHand(limb: Limb): Limb {
  return isHand(limb) ? mirrorLimb(limb) : limb;
}
