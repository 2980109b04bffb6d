import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { FamilyId, StudioId } from '@/core/studio';
import { studio } from './studio';

/** `family` is its base, axes and decisions as JSON, contents embedded. */
export const family = sqliteTable(
  'family',
  {
    id: text().$type<FamilyId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    name: text().notNull(),
    family: text({ mode: 'json' }).$type<unknown>().notNull(),
    updatedAt: integer('updated_at').notNull(),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('family_by_studio').on(table.studioId)],
);
