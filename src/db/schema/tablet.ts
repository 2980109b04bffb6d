import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { StudioId } from '@/core/studio';
import { studio } from './studio';

/** A device of the studio's, on which its students switch by a number of four digits. */
export const tablet = sqliteTable(
  'tablet',
  {
    id: text().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    name: text().notNull(),
    /** SHA-256 of what the tablet's cookie holds. */
    hash: text().notNull().unique(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [index('tablet_by_studio').on(table.studioId)],
);
