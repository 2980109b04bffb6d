export {
  clockOf,
  dayOf,
  daysAfter,
  daysBetween,
  instantOf,
  WEEKDAYS,
  weekdayOf,
} from '../calendar';
export { ACCESS, AUDITED, PASS_KINDS, ROLES } from './access';
export { isDue } from './due';
export { afterId, idSchema, makeId, parseId } from '../id';
export { PLAIN_SPEECH } from './plain-speech';
export { MOST_TRIES, NOTHING_IMPORTED } from './imported';
export { itemKey } from './records';
export { speechSchema } from '../time';
export { afterEntries } from './local';
export { typedTicks } from './paper';
export type { Audited, PassKind, Role } from './access';
export type { Day } from '../calendar';
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
} from '../id';
export type { PaperTick } from './paper';
export type { BundleSummary, FileLook, Imported, LogLook, PartLook, SettingId } from './imported';
export type { Speech } from '../time';
export type {
  AuditLine,
  BatchAnswer,
  DeviceLine,
  Reading,
  WaysIn,
  BreakWarning,
  Difference,
  DoneDay,
  EntryAnswer,
  ExerciseName,
  FamilyName,
  Given,
  ItemRecord,
  Note,
  OpenTry,
  Person,
  PlanItem,
  Program,
  ProgramSummary,
  Round,
  RoundSlot,
  SavedExercise,
  SavedFamily,
  Standing,
  StandItem,
  StudentPlan,
  StudentRecord,
  Backup,
  Backups,
  StudentSummary,
  StudentVersion,
  VersionItem,
  Viewer,
  WeakPlace,
} from './records';
