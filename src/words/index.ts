export { sayDate, sayDay, sayMinutes, sayWeekday, sayWeekdayName } from './calendar';
export { sayChosenNotes, sayDynamic, sayDynamics, sayOrnament } from './change';
export { sayDerivation, sayGrid, sayPartOfCycle } from './derivation';
export { sayIssue, sayIssues } from './issue';
export { sayHandedness, sayLimb, sayLimbs, sayVoice } from './kit';
export { sayBeat, sayCrossing, sayNote, saySixteenths, sayStepPlace } from './place';
export { sayAnyLimb, sayCall, sayChanges, sayClickMode, sayClickSound } from './playing';
export { sayEntryKind, sayHelp, sayMissed, sayRange, sayUnfit } from './plan';
export {
  sayDifference,
  sayDosage,
  sayManner,
  sayNeed,
  sayProposal,
  sayRung,
  saySuffering,
  sayVariation,
  sayVerdict,
  sayWarning,
  sayWhy,
} from './practice';
export {
  isCueAbout,
  sayCue,
  sayCueLine,
  sayDifficulty,
  sayDifficultyPart,
  sayHindrance,
  sayRunSeam,
} from './readback';
export { sayCaution, sayDose, sayInARow, sayLoad, sayProtection } from './safety';
export { sayNeighbour, sayStep, sayStepKind } from './steps';
export { ENGLISH, isLocale, sayEach, sayIn, sayList } from './say';
export type { Asked, DerivedPart } from './derivation';
export type { Catalogue, Key, Locale, Say } from './say';
