import { sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { StepKind } from '@/core/path';
import type { Speech, StudioId } from '@/core/studio';

/** Owns everything; `zone` is the IANA time zone that practice days are counted in. */
export const studio = sqliteTable('studio', {
  id: text().$type<StudioId>().primaryKey(),
  name: text().notNull(),
  zone: text().notNull(),
  /** How note values are named and counted; null is American and English. */
  speech: text({ mode: 'json' }).$type<Speech>(),
  /** Kinds of steps in which exercises are built; null is the usual ones. */
  steps: text({ mode: 'json' }).$type<readonly StepKind[]>(),
});
