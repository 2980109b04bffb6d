export { dayOf, daysAfter, daysBetween, sayDay, WEEKDAYS, weekdayOf } from '../calendar';
export { isDue } from './due';
export { idSchema, makeId, parseId } from '../id';
export {
  brokeInputSchema,
  PLAIN_SPEECH,
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
  ExerciseName,
  FamilyName,
  Given,
  ItemRecord,
  LoggedDecision,
  LoggedTry,
  Note,
  Person,
  Program,
  ProgramItem,
  ProgramSummary,
  SavedExercise,
  SavedFamily,
  Speech,
  StandItem,
  StoredTry,
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
