import { randomBytes } from 'node:crypto';
import { theDb, type Db } from '@/db';
import { makeId, type Id } from '@/core/studio';

/** What every use case needs besides its viewer: the database and the clock. */
export interface Context {
  readonly db: Db;
  readonly now: () => number;
}

export function liveContext(): Context {
  return { db: theDb(), now: Date.now };
}

export function newId<Kind extends string>(context: Context): Id<Kind> {
  return makeId<Kind>(context.now(), randomBytes(12));
}
