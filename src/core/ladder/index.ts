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
export { beatPlaces, factsOf, NO_FACTS, sayBeat } from './facts';
export { copyFollowed, dosageNow, followEvent, replay, startFollowing } from './follow';
export { advance, keepAgain, NEVER, pass, raise, startCounter } from './kernel';
export { ladderSchema, rampBpm, rungsOf } from './ladder';
export { EMPTY_LADDER, makeLadder, typeLadder } from './make-ladder';
export { advanceRuleSchema, makeRule, USUAL_RULE } from './rule';
export { proposalText, reasonText } from './say';
export { chooseSimpler } from './simpler';
export { MANNERS } from './stage';
export { dueDay, rungAt, startLadder } from './state';
export { planTry } from './try';
export { bridgeLoop, recipeOnRung, varyRecipe } from './vary';
export type { Course, TypedCourse } from './course';
export type { Dosage } from './dosage';
export type { ExerciseFacts } from './facts';
export type { Followed, LadderStanding } from './follow';
export type { Counter, Counting } from './kernel';
export type { Ladder, LadderKind, Ramp, Rung } from './ladder';
export type { TypedLadder } from './make-ladder';
export type { AdvanceRule } from './rule';
export type { Manner, Stage } from './stage';
export type { Following, LadderState, Proposal, ProposalKind, RungReason } from './state';
export type { TryPlan } from './try';
