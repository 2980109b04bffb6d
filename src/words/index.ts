export {
  sayDate,
  sayDay,
  sayFullDate,
  sayInstant,
  sayMinutes,
  sayWeekday,
  sayWeekdayName,
} from './calendar';
export { sayChange, sayChosenNotes, sayDynamic, sayDynamics, sayOrnament } from './change';
export { nameMember, sayChangeRange, sayMember, sayMemberStep, sayOffer, sayPart } from './family';
export { sayMaterial, sayUse } from './material';
export { sayAgainst, sayLanes, sayRetyping } from './retype';
export {
  sayAccented,
  sayBesides,
  sayCrowdedGraces,
  sayGaveWay,
  sayHow,
  sayPolicy,
  saySentence,
  sayStart,
  sayStickingAccents,
  sayStickingGrids,
  sentenceParts,
  suggestName,
} from './sentence';
export { sayAxis, sayReadAs } from './terms';
export { sayFeel, sayNote, saySixteenths, saySubdivision, sayTempoNote } from './time';
export { sayDerivation, sayGrid, sayPartOfCycle } from './derivation';
export { sayIssue, sayIssues } from './issue';
export { sayFitted, sayHandedness, sayLimb, sayLimbs, sayTexture, sayVoice } from './kit';
export { sayBand, sayBeat, sayCount, sayCrossing, sayPlaceIn, sayStepPlace } from './place';
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
  sayWhyToStudent,
} from './practice';
export { isCueAbout, sayCue, sayCueLine } from './cue';
export { sayDifficulty, sayDifficultyPart, sayHindrance, sayRunSeam } from './readback';
export { sayCaution, sayDose, sayInARow, sayLoad, sayProtection } from './safety';
export {
  sayStarter,
  sayStarterCue,
  sayStarterItem,
  sayStarterUse,
  sayWayIn,
  starterNames,
  type StarterItems,
} from './starter';
export { sayNeighbour, sayStep, sayStepKind } from './steps';
export { ENGLISH, sayIn } from './languages';
export { sayAtCommandLineIn } from './command-line-languages';
export { sayImportsIn } from './import-languages';
export { sayLeft, sayRowsLeft } from './imports';
export { sayIssuesIn } from './issue-languages';
export { sayOnPaperIn } from './paper-languages';
export { sayStaff } from './staff';
export { sayRhythm } from './rhythm';
export { isLocale, sayEach, sayList } from './say';
export { sayAllIn } from './all-languages';
export { sayAtTheDoorIn } from './entry-languages';
export { sayToStudentsIn } from './student-languages';
export type { Asked, DerivedPart } from './derivation';
export type { Key, Locale, Say, SayIn } from './say';
