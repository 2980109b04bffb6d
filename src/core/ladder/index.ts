export { courseSchema, makeCourse, typeCourse, USUAL_COURSE } from './course';
export {
  DOSAGE_KINDS,
  dosageBars,
  dosageSchema,
  leastMinutes,
  leastMinutesOf,
  makeDosage,
  sayDosage,
} from './dosage';
export { decisionSchema } from './event';
export { beatPlaces, factsOf, NO_FACTS, sayBeat } from './facts';
export { dosageNow, replay } from './follow';
export { ladderSchema, MANNERS, rampBpm, rungsOf } from './ladder';
export { planTry } from './try';
export { EMPTY_LADDER, makeLadder, typeLadder } from './make-ladder';
export { proposalText, reasonText } from './say';
export { chooseSimpler } from './simpler';
export { KEEP_DAYS, rungAt, startLadder } from './state';
export { isTwist, sayVariation, variationSchema } from './variation';
export { bridgeLoop, recipeOnRung, varyRecipe } from './vary';
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
export type { Decided, Decision, LogEvent, Suffered, TakenBack, Try } from './event';
export type { ExerciseFacts } from './facts';
export type { Ladder, LadderKind, Manner, Ramp, Rung, Stage } from './ladder';
export type { TryPlan } from './try';
export type { TypedLadder } from './make-ladder';
export type { Following, LadderState, Proposal, ProposalKind, RungReason } from './state';
export type { Variation } from './variation';
export type { AdvanceRule, SufferingId, Verdict } from './verdict';
