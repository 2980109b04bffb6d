import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Day, NoteId, PersonId, StudioId } from '@/core/studio';
import { person } from './person';
import { studio } from './studio';

/** What a teacher writes to a student. */
export const note = sqliteTable(
  'note',
  {
    id: text().$type<NoteId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    studentId: text('student_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id),
    text: text().notNull(),
    day: text().$type<Day>().notNull(),
    at: integer().notNull(),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('note_by_student').on(table.studentId)],
);
