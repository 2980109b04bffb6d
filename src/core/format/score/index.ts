export { DRAFT_KINDS, fileChoicesSchema } from './choice-schema';
export { draftsOf, likelyChoice, LIKELY_CHOICES, voicesOfPart } from './drafts';
export { voiceOfKey } from './drum-keys';
export { playOrder } from './play-order';
export { exactGrid, likelyGrid, PLAYED_GRIDS, putOn } from './played-grid';
export { LeftOut, NO_REPEATS } from './score';
export type { Choice, FileChoices } from './choice-schema';
export type { Draft } from './drafts';
export type { KeyVoices } from './drum-keys';
export type { PlayedGrid, Put } from './played-grid';
export type {
  Left,
  RepeatSigns,
  Score,
  ScoreBar,
  ScorePart,
  ScoreSign,
  ScoreStroke,
} from './score';
