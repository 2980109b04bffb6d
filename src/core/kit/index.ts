export { isHand, letterOf, LIMBS, mirrorLimb, parseLimb, STICKING_LETTERS } from './limb';
export { LIMIT_KEYS, LIMIT_RANGE, limitsOf, USUAL_LIMITS } from './limits';
export { FULL_KIT, HANDEDNESS, mirrorHand } from './profile';
export {
  isStickedHat,
  parseVoice,
  staffOrder,
  usualLimb,
  voice,
  VOICE_IDS,
  voicesOf,
} from './voice';
export { fitVoice } from './fit';
export { levelDb, loudestFirst, STYLES } from './levels';
export { VOICES } from './data';
export { texture, TEXTURE_IDS, TEXTURES } from './texture';
export type { Replaced } from './fit';
export type { TextureId } from './texture';
export type { Style } from './levels';
export type { Limb, StickingLetter } from './limb';
export type { Handedness, KitProfile } from './profile';
export type { VoiceId } from './voice';
