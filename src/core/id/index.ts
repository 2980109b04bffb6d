export { afterId, idSchema, makeId, parseId } from './id';
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
