import { index, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PersonId, StudioId } from '@/core/studio';
import { person } from './person';
import { studio } from './studio';

/** Which teachers teach a student; a student may have several. */
export const teaching = sqliteTable(
  'teaching',
  {
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    teacherId: text('teacher_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
  },
  (table) => [
    primaryKey({ columns: [table.teacherId, table.studentId] }),
    index('teaching_by_student').on(table.studentId),
  ],
);
