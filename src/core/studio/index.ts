export { clockOf, dayOf, daysAfter, daysBetween, sayDay, WEEKDAYS, weekdayOf } from '../calendar';
export { isDue } from './due';
export { idSchema, makeId, parseId } from '../id';
export {
  brokeInputSchema,
  keyOf,
  PLAIN_SPEECH,
  remarkInputSchema,
  speechSchema,
  sufferedInputSchema,
  tryInputSchema,
} from './records';
export { typedTicks } from './paper';
export type { Day } from '../calendar';
export type {
  AssignmentId,
  EntryId,
  ExerciseId,
  FamilyId,
  Id,
  ItemId,
  MaterialId,
  NoteId,
  PersonId,
  ProgramId,
  SessionId,
  StudioId,
} from '../id';
export type { PaperTick } from './paper';
export type {
  BrokeInput,
  DoneDay,
  ExerciseName,
  FamilyName,
  Given,
  ItemRecord,
  LoggedDecision,
  LoggedTry,
  Note,
  Person,
  PlanItem,
  Program,
  ProgramItem,
  ProgramSummary,
  RemarkInput,
  Round,
  RoundSlot,
  SavedExercise,
  SavedFamily,
  Speech,
  StandItem,
  StoredTry,
  StudentPlan,
  StudentRecord,
  StudentSummary,
  StudentVersion,
  Suffered,
  SufferedInput,
  TryInput,
  VersionItem,
  Viewer,
  WeakPlace,
} from './records';
