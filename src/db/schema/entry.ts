import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ENTRY_KINDS, type Author } from '@/core/log';
import type {
  AssignmentId,
  Day,
  EntryId,
  ItemId,
  PersonId,
  SessionId,
  StudioId,
} from '@/core/studio';
import { assignment } from './assignment';
import { person } from './person';
import { programItem } from './program-item';
import { session } from './session';
import { studio } from './studio';

/** The log. Append-only; a trigger refuses changes. What an entry of a kind says stands in its body
 * (`KINDS` of the core has them all); columns are what is searched by. */
export const entry = sqliteTable(
  'entry',
  {
    /** Grows with every entry. */
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().$type<EntryId>().notNull().unique(),
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
      .references(() => assignment.id),
    itemId: text('item_id')
      .$type<ItemId>()
      .references(() => programItem.id),
    sessionId: text('session_id')
      .$type<SessionId>()
      .references(() => session.id),
    kind: text({ enum: ENTRY_KINDS }).notNull(),
    /** The entry that it says something about. */
    about: text().$type<EntryId>(),
    by: text().$type<Author>().notNull(),
    at: integer().notNull(),
    day: text().$type<Day>().notNull(),
    /** What was played, by the recipe's hash at that time. */
    hash: text(),
    body: text().notNull(),
  },
  (table) => [
    index('entry_by_student').on(table.studioId, table.studentId, table.seq),
    index('entry_by_item').on(table.studioId, table.studentId, table.itemId, table.day, table.seq),
    index('entry_by_hash')
      .on(table.studioId, table.hash)
      .where(sql`hash is not null`),
  ],
);
