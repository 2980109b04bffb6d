import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { kitSchema } from '@/core/kit';
import { scheduleSchema } from '@/core/plan';
import { ROLES, type PersonId, type StudioId } from '@/core/studio';
import { account } from './account';
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
    role: text({ enum: ROLES }).notNull(),
    /** Who signs in as them; null as long as nobody does. */
    accountId: text('account_id').references(() => account.id, { onDelete: 'set null' }),
    name: text().notNull(),
    about: text().notNull().default(''),
    /** A student's kit profile; null until somebody says so. */
    kit: checkedJson(kitSchema)(),
    /** When a student practises; null until somebody says so. */
    schedule: checkedJson(scheduleSchema)(),
    /** Which of the numbers that the server's secret makes of them lets them in on the studio's tablet. */
    pin: integer().notNull().default(1),
    archivedAt: integer('archived_at'),
  },
  (table) => [
    index('person_by_studio').on(table.studioId),
    index('person_by_account').on(table.accountId),
  ],
);
