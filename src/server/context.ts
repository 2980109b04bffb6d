import { randomBytes } from 'node:crypto';
import { theDb, type Db } from '@/db';
import { makeId, type Id } from '@/core/studio';

/** What everything starts from: the file and the clock. */
export interface Context {
  readonly db: Db;
  readonly now: () => number;
}

export function liveContext(): Context {
  return { db: theDb(), now: Date.now };
}

export function newId<Kind extends string>({ now }: Pick<Context, 'now'>): Id<Kind> {
  return makeId<Kind>(now(), randomBytes(12));
}
