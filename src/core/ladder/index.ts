export { makeCourse, typeCourse, USUAL_COURSE } from './course';
export { dosageBars, dosageSchema, leastMinutes, makeDosage, sayDosage } from './dosage';
export { ladderSchema, makeLadder, rungsOf } from './ladder';
export { PLATEAU_DAYS, plateauOf } from './plateau';
export { afterTry, reasonText, replay, startLadder } from './replay';
export {
  advanceRuleSchema,
  makeRule,
  SUFFERING_IDS,
  sufferingName,
  SUFFERINGS,
  USUAL_RULE,
  VERDICTS,
} from './verdict';
export type { Course, TypedCourse } from './course';
export type { Dosage } from './dosage';
export type { Ladder } from './ladder';
export type { Plateau } from './plateau';
export type { LadderState, RungReason, Try } from './replay';
export type { AdvanceRule, SufferingId, Verdict } from './verdict';
