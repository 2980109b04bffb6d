import { mkdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { isRefusal } from '@/core/issue';
import { keepEarlierForm, knowSha256, MIGRATIONS } from './forms';
import * as schema from './schema';
import { StorageError, troubleOf } from './trouble';

/** What queries are written with; it stays in this folder. */
export type Connection = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Longest wait for another process that writes. */
const BUSY_MS = 5000;

declare const database: unique symbol;

/** An open studio file. It says nothing by itself: only stores, which know whose they are, read and
 * write it. */
export interface Db {
  readonly [database]: true;
}

/** Opens a studio file, `:memory:` or the bytes of a file, and brings it up to date; one of an earlier form is copied
 * first, to beside where it is. */
export function openDb(file: string | Buffer): Db {
  const client = new Database(file);
  try {
    if (typeof file === 'string' && !client.memory) keepEarlierForm(client, file);
    return prepared(client);
  } catch (error) {
    client.close();
    throw error;
  }
}

function prepared(client: Database.Database): Db {
  client.pragma('journal_mode = WAL');
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  client.pragma(`busy_timeout = ${BUSY_MS}`);
  knowSha256(client);
  const connection = drizzle(client, { schema });
  migrate(connection, { migrationsFolder: MIGRATIONS });
  return connection as unknown as Db;
}

/** Only for this folder, tests and benchmarks. */
export function connectionOf(db: Db): Connection {
  return db as unknown as Connection;
}

export function closeDb(db: Db): void {
  connectionOf(db).$client.close();
}

/** Does several things, all or none: none where it throws, and none where its result is a refusal. */
export function together<T>(db: Db, run: () => T): T {
  let refused: { readonly result: T } | undefined;
  try {
    return writing(connectionOf(db), () => {
      const result = run();
      if (!isRefusal(result)) return result;
      refused = { result };
      throw new Error('refused');
    });
  } catch (error) {
    if (refused) return refused.result;
    throw error;
  }
}

/** Runs a transaction that writes; within another one, a part of it. It begins as a writer: one that has read first
 * could not write once another process did, and SQLite would refuse it without waiting.
 * @throws SqliteError SQLITE_BUSY where another process writes for longer than `BUSY_MS` */
export function writing<T>(db: Connection, run: () => T): T {
  return db.transaction(run, { behavior: 'immediate' });
}

/** The folder that keeps the data; `MIVVEL_DATA` chooses it. */
function dataFolder(): string {
  return process.env.MIVVEL_DATA ?? join(process.cwd(), '.data');
}

const held = globalThis as {
  mivvelDb?: Db;
  /** The file that it was opened from. */
  mivvelFile?: { readonly path: string; readonly inode: number };
};

/** @throws StorageError that says what is wrong with the file, the folder or the disk */
function openedAt(path: string): Db {
  try {
    mkdirSync(dirname(path), { recursive: true });
    const db = openDb(path);
    if (isWhole(db)) return db;
    closeDb(db);
    throw new StorageError('damaged', path);
  } catch (error) {
    const trouble = troubleOf(error, path);
    throw trouble ? new StorageError(trouble, path, error) : error;
  }
}

/** A quick look through the file; indexes are looked through later, beside all else. */
function isWhole(db: Db): boolean {
  return connectionOf(db).$client.pragma('quick_check(1)', { simple: true }) === 'ok';
}

/** Where the process's studio file is. */
export function dataFile(): string {
  return join(dataFolder(), 'mivvel.sqlite');
}

/** The process's one database, opened when it is first asked for; and anew when its file was put in place of the one
 * that was there, such as from a backup. */
export function theDb(): Db {
  const path = dataFile();
  const { mivvelDb: open, mivvelFile: from } = held;
  if (open) {
    const there = from && statSync(from.path, { throwIfNoEntry: false });
    // What is written to a file that is gone from its folder would be lost.
    if (from?.path === path && !there) throw new StorageError('missing', path);
    if (!from || (from.path === path && there?.ino === from.inode)) return open;
    held.mivvelDb = undefined;
    closeDb(open);
  }
  const db = openedAt(path);
  held.mivvelDb = db;
  held.mivvelFile = { path, inode: statSync(path).ino };
  return db;
}
