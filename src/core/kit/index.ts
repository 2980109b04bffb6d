export { isHand, letterOf, LIMBS, mirrorLimb, parseLimb, STICKING_LETTERS } from './limb';
export { LIMIT_KEYS, limitsOf, USUAL_LIMITS } from './limits';
export { HANDEDNESS } from './handedness';
export { FULL_KIT, mirrorHand } from './profile';
export {
  isPedal,
  isStickedHat,
  limbTaking,
  parseVoice,
  staffOrder,
  usualLimb,
  voice,
  VOICE_IDS,
  voicesOf,
} from './voice';
export { fitVoice } from './fit';
export { levelDb, loudestFirst } from './levels';
export { LIMIT_RANGE, STYLES, VOICES } from './data';
export { texture, TEXTURE_IDS, TEXTURES } from './texture';
export { assignmentSchema, kitSchema, limbSchema, textureSchema, voiceSchema } from './schema';
export type { Assignment, KitProfile } from './schema';
export type { Limits } from './limits';
export type { Replaced } from './fit';
export type { TextureId } from './texture';
export type { Style } from './levels';
export type { Limb, StickingLetter } from './limb';
export type { Handedness } from './handedness';
export type { Voice, VoiceId } from './voice';
