export { dayOf, sayDay } from './day';
export { idSchema, makeId, parseId } from './id';
export { PLAIN_SPEECH, speechSchema, sufferedInputSchema, tryInputSchema } from './records';
export type { Day } from './day';
export type {
  AssignmentId,
  EntryId,
  ExerciseId,
  FamilyId,
  Id,
  ItemId,
  MaterialId,
  PersonId,
  ProgramId,
  SessionId,
  StudioId,
} from './id';
export type {
  ItemRecord,
  LoggedTry,
  Person,
  Program,
  ProgramItem,
  ProgramSummary,
  ExerciseName,
  FamilyName,
  SavedExercise,
  SavedFamily,
  Speech,
  StandItem,
  StoredTry,
  StudentRecord,
  StudentSummary,
  Suffered,
  SufferedInput,
  TryInput,
  Viewer,
} from './records';
