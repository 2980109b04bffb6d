import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { fail, ok, type Result } from '@/core/issue';

/** Copies a studio file while it may be in use: all that was written until now, in one piece. @param to a new file */
export async function backUp(file: string, to: string): Promise<void> {
  const client = new Database(file, { readonly: true, fileMustExist: true });
  try {
    await client.backup(to);
  } finally {
    client.close();
  }
}

/** Puts a backup in the place of a studio file; what was there is kept beside it. Whoever has the file open goes on with
 * the new one at their next request.
 * @param folder holds `mivvel.sqlite`, or nothing yet  @param kept name of what was there
 * @returns issues `backup-damaged` for what is no studio file or not whole, `backup-newer` for one of a newer Mivvel; then
 * nothing is changed */
export async function restore(backup: string, folder: string, kept: string): Promise<Result<null>> {
  const fault = faultOf(backup);
  if (fault) return fault;
  const file = join(folder, 'mivvel.sqlite');
  const coming = `${file}.coming`;
  mkdirSync(folder, { recursive: true });
  copyFileSync(backup, coming);
  // What was written last may stand in the log beside the file alone: a backup has it, a copy has not.
  if (existsSync(file)) await backUp(file, join(folder, kept));
  for (const rest of ['-wal', '-shm']) rmSync(`${file}${rest}`, { force: true });
  renameSync(coming, file);
  return ok(null);
}

function faultOf(backup: string): Result<never> | null {
  let client: Database.Database | null = null;
  try {
    client = new Database(backup, { readonly: true, fileMustExist: true });
    const whole = client.pragma('integrity_check', { simple: true }) === 'ok';
    const table = client.prepare("select 1 from sqlite_master where name = 'studio'").get();
    const steps = client.prepare('select count(*) as count from __drizzle_migrations').get();
    if (!whole || !table) return fail({ code: 'backup-damaged', path: [] });
    const { count } = steps as { count: number };
    const known = readMigrationFiles({ migrationsFolder: 'src/db/migrations' }).length;
    return count > known ? fail({ code: 'backup-newer', path: [] }) : null;
  } catch {
    return fail({ code: 'backup-damaged', path: [] });
  } finally {
    client?.close();
  }
}
