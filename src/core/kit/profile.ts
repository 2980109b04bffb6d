import { mirrorLimb, isHand, type Limb } from './limb';
import type { OwnLimits } from './limits';
import { VOICE_IDS, type VoiceId } from './voice';

/** How the kit stands and which hand leads: three different kinds of left-handed.
 * `mirrored`: all four limbs swap. `open-handed`: what the hands play on the kit swaps, stickings
 * keep their lead. `left-lead`: hands swap in stickings too, feet stay. */
export const HANDEDNESS = ['right', 'mirrored', 'open-handed', 'left-lead'] as const;
export type Handedness = (typeof HANDEDNESS)[number];

export interface KitProfile {
  readonly name: string;
  readonly handedness: Handedness;
  readonly voices: readonly VoiceId[];
  /** What is too near for this kit and player; the usual limits where left out. */
  readonly limits?: OwnLimits | undefined;
}

export const FULL_KIT: KitProfile = { name: 'full kit', handedness: 'right', voices: VOICE_IDS };

/** Hands swap, feet stay: RLLK → LRRK. */
export function mirrorHand(limb: Limb): Limb {
  return isHand(limb) ? mirrorLimb(limb) : limb;
}
