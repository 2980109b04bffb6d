import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PersonId } from '@/core/studio';
import { account } from './account';
import { person } from './person';
import { tablet } from './tablet';

/** A browser that somebody is signed in on, and who they look as. Instants in epoch ms. */
export const signIn = sqliteTable(
  'sign_in',
  {
    id: text().primaryKey(),
    /** SHA-256 of what the browser's cookie holds. */
    token: text().notNull().unique(),
    /** That of the token before, which is good for a moment more: answers cross on the way. */
    tokenBefore: text('token_before').unique(),
    rotatedAt: integer('rotated_at').notNull(),
    accountId: text('account_id')
      .notNull()
      .references(() => account.id, { onDelete: 'cascade' }),
    personId: text('person_id')
      .$type<PersonId>()
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    /** The studio's tablet on which a student came in by their number. */
    tabletId: text('tablet_id').references(() => tablet.id, { onDelete: 'cascade' }),
    /** What the browser calls itself, for the list of devices. */
    agent: text().notNull(),
    createdAt: integer('created_at').notNull(),
    /** When it was last used, to a day: its end is put off then. */
    lastAt: integer('last_at').notNull(),
    endsAt: integer('ends_at').notNull(),
  },
  (table) => [
    index('sign_in_by_account').on(table.accountId),
    index('sign_in_by_person').on(table.personId),
  ],
);
