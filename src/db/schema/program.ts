import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ProgramId, StudioId } from '@/core/studio';
import { studio } from './studio';

export const program = sqliteTable(
  'program',
  {
    id: text().$type<ProgramId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    name: text().notNull(),
    createdAt: integer('created_at').notNull(),
    archivedAt: integer('archived_at'),
    /** Kept as a start for others. */
    template: integer({ mode: 'boolean' }).notNull().default(false),
  },
  (table) => [index('program_by_studio').on(table.studioId)],
);
