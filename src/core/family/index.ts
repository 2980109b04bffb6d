export { countValues, valuesOf } from './axis';
export { countHeld, coverMembers, keepBest } from './cover';
export { partAt, setValues, toggleValue, valuesAt } from './edit';
export { MOST_OF_A_RUN, runOf, runSeams } from './run';
export { deadValues, eachOnce, FamilyJudge, foldMembers, judgeFamily } from './judge';
export {
  familySize,
  indexOfChoice,
  memberAt,
  memberKey,
  memberRecipe,
  openFamily,
  stepBetween,
} from './members';
export { boundsOfRange, rangeOffers } from './ranges';
export { familyOf } from './family-of';
export { MOST_DECIDED, PLACED_SLOTS } from './data';
export { keptFamilySchema, readFamily } from './schema';
export { flowFamily } from './flows';
export { axisAt, orderAsWritten, standsAsWritten } from './written';
export type { AxisValue, ClosedPart } from './axis';
export type { AxisPlace, PhraseValue } from './edit';
export type { CoverOf } from './cover';
export type { Impossible, Played } from './judge';
export type { Member, OpenedFamily } from './members';
export type { RangeOffer } from './ranges';
export type { Axis, ChangeValue, Family } from './schema';
export type { RunSeam } from './run';
