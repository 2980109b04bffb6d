import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Verdict } from '@/core/ladder';
import type {
  AssignmentId,
  Day,
  EntryId,
  ItemId,
  PersonId,
  SessionId,
  StudioId,
  Suffered,
} from '@/core/studio';
import { assignment } from './assignment';
import { person } from './person';
import { programItem } from './program-item';
import { session } from './session';
import { studio } from './studio';

/** Append-only; a trigger refuses changes. `try`: a finished dosage and its verdict. `suffered`:
 * what went wrong in the try that `tryId` points to. All progress is replayed from here. */
export const logEntry = sqliteTable(
  'log_entry',
  {
    id: text().$type<EntryId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    studentId: text('student_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id),
    assignmentId: text('assignment_id')
      .$type<AssignmentId>()
      .notNull()
      .references(() => assignment.id),
    itemId: text('item_id')
      .$type<ItemId>()
      .notNull()
      .references(() => programItem.id),
    sessionId: text('session_id')
      .$type<SessionId>()
      .notNull()
      .references(() => session.id),
    kind: text({ enum: ['try', 'suffered'] }).notNull(),
    at: integer().notNull(),
    day: text().$type<Day>().notNull(),
    /** What was played, by the recipe's hash at that time. */
    hash: text(),
    bpm: real(),
    verdict: text().$type<Verdict>(),
    bars: integer(),
    seconds: real(),
    tryId: text('try_id').$type<EntryId>(),
    suffered: text({ mode: 'json' }).$type<Suffered>(),
  },
  (table) => [
    index('log_entry_by_student').on(table.studentId, table.at),
    index('log_entry_by_item').on(table.assignmentId, table.itemId, table.at),
  ],
);
