import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ProgramId, StudioId } from '@/core/studio';
import { program } from './program';
import { studio } from './studio';

/** What a program held at a time, recipes embedded. The latest version changes while nobody has it;
 * once somebody does, the next change makes a new one. `revision` counts the changes. */
export const programVersion = sqliteTable(
  'program_version',
  {
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    programId: text('program_id')
      .$type<ProgramId>()
      .notNull()
      .references(() => program.id),
    version: integer().notNull(),
    revision: integer().notNull(),
    content: text().notNull(),
    madeAt: integer('made_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.programId, table.version] })],
);
