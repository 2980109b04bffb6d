import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema';

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Opens a studio file, or `:memory:`, and brings it up to date. */
export function openDb(file: string): Db {
  const client = new Database(file);
  client.pragma('journal_mode = WAL');
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  client.pragma('busy_timeout = 5000');
  const db = drizzle(client, { schema });
  migrate(db, { migrationsFolder: join(process.cwd(), 'src/db/migrations') });
  return db;
}

/** The folder that keeps the data; `MIVVEL_DATA` chooses it. */
export function dataFolder(): string {
  return process.env.MIVVEL_DATA ?? join(process.cwd(), '.data');
}

const held = globalThis as { mivvelDb?: Db };

/** The process's one database, opened when it is first asked for. */
export function theDb(): Db {
  if (!held.mivvelDb) {
    const folder = dataFolder();
    mkdirSync(folder, { recursive: true });
    held.mivvelDb = openDb(join(folder, 'mivvel.sqlite'));
  }
  return held.mivvelDb;
}
