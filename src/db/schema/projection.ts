import { primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PersonId, StudioId } from '@/core/studio';
import { person } from './person';
import { studio } from './studio';

/** What was worked out from a student's log, kept over a restart. Nothing stands here alone: it is thrown
 * away with the version of the code that made it, or when what it was worked out from has changed. */
export const projection = sqliteTable(
  'projection',
  {
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    studentId: text('student_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id),
    name: text().notNull(),
    version: text().notNull(),
    /** What it was worked out from. */
    source: text().notNull(),
    value: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.studentId, table.name] })],
);
