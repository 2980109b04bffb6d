import { existsSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type Database from 'better-sqlite3';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { putInPlace } from './place';
import { sha256 } from './sha256';

export const MIGRATIONS = join(process.cwd(), 'src/db/migrations');

/** Steps call it: what was a secret in a file is its hash in the newer form. */
export function knowSha256(client: Database.Database): void {
  client.function('sha256', { deterministic: true }, (text) => sha256(String(text)));
}

/** How many steps a file has gone through to its form; null for one without any. */
export function stepsOf(client: Database.Database): number | null {
  const named = "select 1 from sqlite_master where name = '__drizzle_migrations'";
  if (!client.prepare(named).get()) return null;
  return client.prepare('select count(*) from __drizzle_migrations').pluck().get() as number;
}

/** How many steps this Mivvel knows. */
export function stepsKnown(): number {
  return readMigrationFiles({ migrationsFolder: MIGRATIONS }).length;
}

/** Copies a file that is about to be changed to a newer form: with the copy, an update can be gone back on. */
export function keepEarlierForm(client: Database.Database, file: string): void {
  const steps = stepsOf(client) ?? 0;
  const kept = join(dirname(file), `mivvel.before-update-${steps}.sqlite`);
  // One that is there already was made before an update that was broken off.
  if (steps === 0 || steps >= stepsKnown() || existsSync(kept)) return;
  const part = `${kept}.part`;
  rmSync(part, { force: true });
  try {
    client.prepare('vacuum into ?').run(part);
    putInPlace(part, kept);
  } finally {
    rmSync(part, { force: true });
  }
}
