import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PersonId, ProgramId, StudioId } from '@/core/studio';
import { PASS_KINDS } from '@/core/studio';
import { person } from './person';
import { program } from './program';
import { studio } from './studio';

/** Opens one thing to whoever holds it: a student's own link or code, a reader's link to a record, an invitation of a
 * teacher, a shared program, a plan's calendar. No secret stands here: a link is its id and a seal that only the
 * server's secret makes, of a code there is a hash with that secret. */
export const pass = sqliteTable(
  'pass',
  {
    id: text().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    kind: text({ enum: PASS_KINDS }).notNull(),
    /** Whose record, link, code or calendar it is. */
    personId: text('person_id')
      .$type<PersonId>()
      .references(() => person.id, { onDelete: 'cascade' }),
    programId: text('program_id')
      .$type<ProgramId>()
      .references(() => program.id),
    /** Who it is for: a reader, a teacher who is invited. */
    name: text().notNull().default(''),
    email: text(),
    hash: text().unique(),
    createdAt: integer('created_at').notNull(),
    /** From then on it opens nothing; null for no end. */
    endsAt: integer('ends_at'),
  },
  (table) => [
    index('pass_by_studio').on(table.studioId, table.kind),
    index('pass_by_person').on(table.personId),
  ],
);
