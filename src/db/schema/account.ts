import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Whoever signs in. One account may belong to people of several studios. Accounts that come in by a link or a code
 * have an address that leads nowhere. Columns as better-auth names them. */
export const account = sqliteTable('account', {
  id: text().primaryKey(),
  name: text().notNull().default(''),
  email: text().notNull().unique(),
  emailVerified: integer('email_verified', { mode: 'boolean' }).notNull().default(false),
  image: text(),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
});
