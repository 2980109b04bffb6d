import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ExerciseId, StudioId } from '@/core/studio';
import { studio } from './studio';

/** `recipe` is the closed form as JSON; `hash` names what it plays. */
export const exercise = sqliteTable(
  'exercise',
  {
    id: text().$type<ExerciseId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    name: text().notNull(),
    recipe: text({ mode: 'json' }).$type<unknown>().notNull(),
    hash: text().notNull(),
    updatedAt: integer('updated_at').notNull(),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('exercise_by_studio').on(table.studioId)],
);
