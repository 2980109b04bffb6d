export { isHand, letterOf, limbName, LIMBS, mirrorLimb, parseLimb, STICKING_LETTERS } from './limb';
export { FULL_KIT, mirrorHand } from './profile';
export { isStickedHat, parseVoice, staffOrder, voice, VOICE_IDS, voicesOf } from './voice';
export { VOICES } from './data';
export type { Limb, StickingLetter } from './limb';
export type { Handedness, KitProfile } from './profile';
export type { Voice, VoiceId } from './voice';
