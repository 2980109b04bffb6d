import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PersonId, StudioId } from '@/core/studio';
import { studio } from './studio';

export const person = sqliteTable(
  'person',
  {
    id: text().$type<PersonId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    role: text({ enum: ['teacher', 'student'] }).notNull(),
    name: text().notNull(),
    about: text().notNull().default(''),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('person_by_studio').on(table.studioId)],
);
