export { dayOf, sayDay } from './day';
export { idSchema, makeId, parseId } from './id';
export { sayCount } from './say';
export { sufferedInputSchema, tryInputSchema } from './records';
export type { Day } from './day';
export type {
  AssignmentId,
  EntryId,
  ExerciseId,
  Id,
  ItemId,
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
  SavedExercise,
  StandItem,
  StoredTry,
  StudentRecord,
  StudentSummary,
  Suffered,
  SufferedInput,
  TryInput,
  Viewer,
} from './records';
