export {
  crowdedGraces,
  excerpt,
  onlyLimbs,
  openGraces,
  widenGraces,
  withoutOrnaments,
} from './build-up';
export { aimedAt, aimPhrase, landsTicks } from './aim';
export { changeThatAdded } from './change';
export { changeSchema } from './change-schema';
export { addStrokes } from './add';
export { displaceAccents, displacePattern, displaceSticking, pushStroke } from './displace';
export { editStrokes, joinEdit } from './edit';
export { everyNth } from './every-nth';
export { footingDifferences, footLayers } from './footing';
export { mirrorHands, mirrorLimbs } from './mirror';
export { orchestrate } from './orchestrate';
export { CHOSEN_NOTES } from './data';
export { boundsOf, CHANGE_NUMBERS, type Bounds } from './numbers';
export { giveTo, revoice, swapFeet } from './reassign';
export { reverseLayer } from './reverse';
export { substitute } from './substitute';
export { thicken, thin } from './thicken';
export { turnLetters, turnVoices } from './turn-voices';
export type { Change } from './change-schema';
export type { EditedStroke, HandEdit, StrokePlace } from './edit-schema';
export type { Footing } from './footing';
export type { ChosenNotes } from './orchestrate';
