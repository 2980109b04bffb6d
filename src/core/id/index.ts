export { afterId, makeId, parseId } from './id';
export { idSchema } from './id-schema';
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
