import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { kitSchema } from '@/core/kit';
import { scheduleSchema } from '@/core/plan';
import type { PersonId, StudioId } from '@/core/studio';
import { checkedJson } from './checked-json';
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
    kit: checkedJson(kitSchema)(),
    /** When a student practises; null until somebody says so. */
    schedule: checkedJson(scheduleSchema)(),
    /** Secret part of the address of the plan's calendar; null until somebody asks for one. */
    feed: text().unique(),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('person_by_studio').on(table.studioId)],
);
