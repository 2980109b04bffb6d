import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PersonId, StudioId } from '@/core/studio';
import { AUDITED } from '@/core/studio';
import { person } from './person';
import { studio } from './studio';

/** Who came in, was let in, took something out or was erased, for the owner to read. */
export const audit = sqliteTable(
  'audit',
  {
    id: text().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    at: integer().notNull(),
    kind: text({ enum: AUDITED }).notNull(),
    /** Who did it; null for nobody who is known, or was erased since. */
    byId: text('by_id')
      .$type<PersonId>()
      .references(() => person.id, { onDelete: 'set null' }),
    aboutId: text('about_id')
      .$type<PersonId>()
      .references(() => person.id, { onDelete: 'set null' }),
  },
  (table) => [index('audit_by_studio').on(table.studioId, table.at)],
);
