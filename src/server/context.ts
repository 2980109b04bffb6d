import { randomBytes } from 'node:crypto';
import { theDb, type Db } from '@/db';
import { afterId, makeId, type Id } from '@/core/studio';

/** What everything starts from: the file and the clock. */
export interface Context {
  readonly db: Db;
  readonly now: () => number;
}

export function liveContext(): Context {
  return { db: theDb(), now: Date.now };
}

/** The last id that was made, and when: what is made within one millisecond keeps its order. */
let last = { ms: Number.NaN, id: '' as Id<string> };

export function newId<Kind extends string>({ now }: Pick<Context, 'now'>): Id<Kind> {
  const ms = now();
  last = { ms, id: ms === last.ms ? afterId(last.id) : makeId(ms, randomBytes(12)) };
  return last.id as Id<Kind>;
}
