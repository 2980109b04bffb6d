export { sayDate, sayDay, sayMinutes, sayWeekday, sayWeekdayName } from './calendar';
export { sayIssue, sayIssues } from './issue';
export { sayLimb, sayLimbs, sayVoice } from './kit';
export { sayBeat, sayCrossing, sayLength, sayPlace, sayStepPlace, sayWeakPlace } from './place';
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
export { sayCaution, sayDose, sayInARow, sayLoad, sayProtection } from './safety';
export { asStart, ENGLISH, sayIn, sayList } from './say';
export type { Catalogue, Locale, Say } from './say';
