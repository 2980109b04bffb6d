import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import { startsSchema } from '@/core/program';
import type { AssignmentId, PersonId, ProgramId, StudioId } from '@/core/studio';
import { checkedJson } from './checked-json';
import { person } from './person';
import { program } from './program';
import { studio } from './studio';

/** A program given to a student; `endedAt` takes it back and keeps its log. */
export const assignment = sqliteTable(
  'assignment',
  {
    id: text().$type<AssignmentId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    programId: text('program_id')
      .$type<ProgramId>()
      .notNull()
      .references(() => program.id),
    studentId: text('student_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id),
    givenAt: integer('given_at').notNull(),
    endedAt: integer('ended_at'),
    /** The program's version that the student has. */
    version: integer().notNull().default(1),
    /** Tempi from which the student starts, by item. */
    starts: checkedJson(startsSchema)().notNull().default({}),
  },
  (table) => [
    index('assignment_by_student').on(table.studentId),
    uniqueIndex('assignment_once')
      .on(table.programId, table.studentId)
      .where(sql`ended_at is null`),
  ],
);
