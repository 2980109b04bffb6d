import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { MaterialKind } from '@/core/materials';
import type { MaterialId, StudioId } from '@/core/studio';
import { studio } from './studio';

/** A studio's own ingredient: ostinato, line, sticking, cell set, rules or kit. */
export const material = sqliteTable(
  'material',
  {
    id: text().$type<MaterialId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    kind: text().$type<MaterialKind>().notNull(),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('material_by_studio').on(table.studioId)],
);

/** What a material was at a time; versions are added, never changed. */
export const materialVersion = sqliteTable(
  'material_version',
  {
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    materialId: text('material_id')
      .$type<MaterialId>()
      .notNull()
      .references(() => material.id),
    version: integer().notNull(),
    name: text().notNull(),
    content: text({ mode: 'json' }).$type<unknown>().notNull(),
    trains: text().notNull(),
    meter: text(),
    madeAt: integer('made_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.materialId, table.version] })],
);
