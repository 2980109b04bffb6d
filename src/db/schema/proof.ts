import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What a link in a mail proves, such as who may set a password anew; hashed. Columns as better-auth names them. */
export const proof = sqliteTable(
  'proof',
  {
    id: text().primaryKey(),
    identifier: text().notNull(),
    value: text().notNull(),
    expiresAt: integer('expires_at', { mode: 'timestamp_ms' }).notNull(),
    createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
    updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('proof_by_identifier').on(table.identifier)],
);
