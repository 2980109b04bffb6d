export { axisName, changesOf, countValues, valuesOf } from './axis';
export { coverMembers, keepBest } from './cover';
export { eventsOf, FamilyJudge, foldMembers, judgeFamily, placeOfEvent } from './judge';
export {
  familySize,
  indexOfChoice,
  memberAt,
  memberKey,
  memberRecipe,
  MOST_MEMBERS,
  nameMember,
  openFamily,
  sayMember,
  sayStep,
} from './members';
export { familyOf, readFamily } from './schema';
export type { AxisValue } from './axis';
export type { Cover, CoverOf } from './cover';
export type { Impossible, Judged, Played } from './judge';
export type { Member, OpenedFamily } from './members';
export type { Axis, ChangeValue, Family } from './schema';
