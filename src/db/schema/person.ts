import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { KitProfile } from '@/core/kit';
import type { Schedule } from '@/core/plan';
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
    /** A student's kit profile; null until somebody says so. */
    kit: text({ mode: 'json' }).$type<KitProfile>(),
    /** When a student practises; null until somebody says so. */
    schedule: text({ mode: 'json' }).$type<Schedule>(),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('person_by_studio').on(table.studioId)],
);
