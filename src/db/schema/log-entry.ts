import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Decision, Verdict } from '@/core/ladder';
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

/** Append-only; a trigger refuses changes. `try`: a finished dosage and its verdict. `suffered`,
 * `broke`: what went wrong in the try that `tryId` points to, and on which beat. `remark`: what the
 * student wrote about it. `decided`: what the
 * teacher decided; `taken-back` points to a decision. All progress is replayed from here. */
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
    kind: text({ enum: ['try', 'suffered', 'broke', 'remark', 'decided', 'taken-back'] }).notNull(),
    at: integer().notNull(),
    day: text().$type<Day>().notNull(),
    /** What was played, by the recipe's hash at that time. */
    hash: text(),
    bpm: real(),
    verdict: text().$type<Verdict>(),
    bars: integer(),
    seconds: real(),
    /** The rung that was asked for, by its key. */
    rung: text(),
    /** Typed in from a sheet of paper. */
    paper: integer({ mode: 'boolean' }),
    tryId: text('try_id').$type<EntryId>(),
    suffered: text({ mode: 'json' }).$type<Suffered>(),
    /** The felt beat of the cycle on which the try broke, from 0. */
    beat: integer(),
    /** What the student wrote about a try. */
    text: text(),
    decision: text({ mode: 'json' }).$type<Decision>(),
  },
  (table) => [
    index('log_entry_by_student').on(table.studentId, table.at),
    index('log_entry_latest').on(table.studentId),
    index('log_entry_by_item').on(table.assignmentId, table.itemId, table.at),
  ],
);
