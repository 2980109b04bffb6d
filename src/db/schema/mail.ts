import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { StudioId } from '@/core/studio';
import { studio } from './studio';

/** Mail that no mail server was there to take, for the owner to read and pass on. Its text is sealed with the server's
 * secret, for links stand in it. */
export const mail = sqliteTable(
  'mail',
  {
    id: text().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    at: integer().notNull(),
    to: text().notNull(),
    sealed: text().notNull(),
  },
  (table) => [index('mail_by_studio').on(table.studioId, table.at)],
);
