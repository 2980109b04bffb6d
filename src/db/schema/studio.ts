import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { stepKindsSchema } from '@/core/path';
import { speechSchema, type StudioId } from '@/core/studio';
import { checkedJson } from './checked-json';

/** Owns everything; `zone` is the IANA time zone that practice days are counted in. */
export const studio = sqliteTable('studio', {
  id: text().$type<StudioId>().primaryKey(),
  name: text().notNull(),
  zone: text().notNull(),
  /** How note values are named and counted; null is American and English. */
  speech: checkedJson(speechSchema)(),
  /** Kinds of steps in which exercises are built; null is the usual ones. */
  steps: checkedJson(stepKindsSchema)(),
  /** Where the app is reached by others, such as `http://192.168.1.20:3000`; null prints no codes. */
  address: text(),
  /** A studio to look around in, in which everybody who opens the start page may look as anybody. */
  demo: integer({ mode: 'boolean' }).notNull().default(false),
});
