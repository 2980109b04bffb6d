export { makeCourse, stepCourse, typeCourse, USUAL_COURSE } from './course';
export { courseSchema } from './course-schema';
export { dosageBars, makeDosage } from './dosage';
export { DOSAGE_KINDS, MANNERS, MOST_LAST_TRIES, STOPPED_TRIES } from './data';
export { beatPlaces, factsOf, NO_FACTS } from './facts';
export { copyFollowed, dosageNow, followEvent, replay, startFollowing } from './follow';
export {
  advance,
  bitsOf,
  comeBack,
  keepAgain,
  NEVER,
  pass,
  raise,
  startCounter,
  toRung,
  verdictCounted,
  verdictsOf,
} from './kernel';
export { rampBpm, rungsOf } from './ladder';
export { leastMinutes, leastMinutesOf } from './least-time';
export { EMPTY_LADDER, makeLadder, readWay, typeLadder, writeWay } from './make-ladder';
export { makeRule, USUAL_RULE } from './rule';
export { halfway, headStart } from './head-start';
export { isOnRung, onDay, onTry } from './judge';
export { chooseSimpler } from './simpler';
export { dueDay, rungAt, startLadder } from './state';
export { planTry } from './try';
export { twistsOf } from './twists';
export { bridgeLoop } from './bridge-loop';
export { recipeOnRung, varyRecipe } from './vary';
export { whyOf } from './why';
export type { TypedCourse } from './course';
export type { Course } from './course-schema';
export type { Dosage } from './dosage-schema';
export type { ExerciseFacts } from './facts';
export type { Followed, LadderStanding } from './follow';
export type { Counter, Counting } from './kernel';
export type { LadderKind, Rung } from './ladder';
export type { Ladder } from './ladder-schema';
export type { AdvanceRule } from './rule-schema';
export type { RungFacts } from './rung-key';
export type { SimplerBecause } from './simpler';
export type { Manner } from './stage';
export type { PracticeStep, StageWay } from './stage-schema';
export type { Because, Following, LadderState, Proposal } from './state';
export type { TryPlan } from './try';
export type { Why } from './why';
