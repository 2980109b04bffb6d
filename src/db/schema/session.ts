import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Day, PersonId, SessionId, StudioId } from '@/core/studio';
import { person } from './person';
import { studio } from './studio';

/** One sitting at the kit; begins with its first try. */
export const session = sqliteTable(
  'session',
  {
    id: text().$type<SessionId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    studentId: text('student_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id),
    startedAt: integer('started_at').notNull(),
    day: text().$type<Day>().notNull(),
  },
  (table) => [index('session_by_student').on(table.studentId)],
);
