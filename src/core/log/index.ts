export { decisionSchema } from './decision';
export { isAbout, mayMake, postedSchema, readBody } from './entry';
export { addTo, eventOf, foldItem, inOrder, takenBackIds } from './fold';
export { ENTRY_KINDS, KINDS } from './kinds';
export { isTwist } from './variation';
export { variationSchema } from './variation-schema';
export { SUFFERING_IDS, SUFFERINGS, VERDICTS } from './verdict';
export type { Decision } from './decision';
export type { Logged, Posted } from './entry';
export type {
  Decided,
  ItemEvent,
  JudgedTry,
  LadderEvent,
  LoggedDecision,
  LoggedTry,
  Suffered,
  Try,
} from './fold';
export type { Author, Body, EntryKind } from './kinds';
export type { Variation } from './variation-schema';
export type { SufferingId, Verdict, VerdictKey } from './verdict';
