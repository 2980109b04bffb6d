import { copyFileSync, existsSync, mkdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { fail, ok, type Result } from '@/core/issue';
import { stepsKnown, stepsOf } from './forms';
import { isLocked, lockFile, unlockFile } from './locked';
import { putInPlace, toDisk } from './place';
import { REPLACED } from './trouble';

/** Pages that are copied and brought to the disk at once: whoever writes meanwhile waits for no more. */
const PAGES_AT_ONCE = 250;

/** As long as a restore waits for whoever holds the file. */
const HELD_MS = 30_000;

/** Copies a studio file while it may be in use: all that was written until now, in one piece. The copy is looked
 * through before it counts, and appears under its name whole or not at all.
 * @param to a new file  @param passphrase encrypts it; null leaves it readable
 * @returns its bytes; issue `backup-damaged` where what was copied is not whole
 * @throws errors of the disk */
export async function backUp(
  file: string,
  to: string,
  passphrase: string | null = null,
): Promise<Result<number>> {
  const part = `${to}.part`;
  const sealed = `${to}.sealed.part`;
  mkdirSync(dirname(to), { recursive: true });
  rmSync(part, { force: true });
  try {
    const client = new Database(file, { readonly: true, fileMustExist: true });
    try {
      // What is read stays as it is at this moment. Without it a copy in parts begins again whenever another connection
      // writes, and never ends where one writes without pause.
      client.exec('begin');
      client.prepare('select count(*) from sqlite_master').get();
      await client.backup(part, {
        progress: () => {
          toDisk(part);
          return PAGES_AT_ONCE;
        },
      });
    } finally {
      client.close();
    }
    const fault = faultOf(part);
    if (fault) return fault;
    if (passphrase === null) return ok(putInPlace(part, to));
    lockFile(part, sealed, passphrase);
    return ok(putInPlace(sealed, to));
  } catch (error) {
    if (isDamage(error)) return fail({ code: 'backup-damaged', path: [] });
    throw error;
  } finally {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(part + end, { force: true });
    rmSync(sealed, { force: true });
  }
}

function isDamage(error: unknown): boolean {
  const code = error instanceof Database.SqliteError ? error.code : '';
  return /^SQLITE_(CORRUPT|NOTADB)/.test(code);
}

/** Puts a backup in the place of a studio file; what was there is kept beside it. Whoever writes meanwhile is held off,
 * then refused, and goes on with the new file at their next request: nothing is acknowledged that is in neither.
 * @param folder holds `mivvel.sqlite`, or nothing yet  @param kept name of what was there
 * @param wait for whoever holds the file, in milliseconds
 * @returns issues `backup-locked` where it is encrypted and the passphrase is none or another one, `backup-damaged` for
 * what is no studio file or not whole, `backup-newer` for one of a newer Mivvel; then nothing is changed
 * @throws errors of the disk, and `SQLITE_BUSY` where the file is held for longer; then nothing is changed either */
export async function restore(
  backup: string,
  folder: string,
  kept: string,
  passphrase: string | null = null,
  wait = HELD_MS,
): Promise<Result<null>> {
  const file = join(folder, 'mivvel.sqlite');
  const coming = `${file}.coming`;
  mkdirSync(folder, { recursive: true });
  try {
    if (isLocked(backup)) {
      const isOpen = passphrase !== null && unlockFile(backup, coming, passphrase);
      if (!isOpen) return fail({ code: 'backup-locked', path: [] });
    } else copyFileSync(backup, coming);
    const fault = faultOf(coming);
    if (fault) return fault;
    await giveWay(file, join(folder, kept), wait);
    for (const rest of ['-wal', '-shm']) rmSync(`${file}${rest}`, { force: true });
    putInPlace(coming, file);
    return ok(null);
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(coming + end, { force: true });
  }
}

/** Keeps what is in a file elsewhere, and lets nobody write to it any more: who waits to is refused, and looks again
 * which file is there. One that cannot be read is kept as it is. */
async function giveWay(file: string, kept: string, wait: number): Promise<void> {
  if (!existsSync(file)) return;
  let lock: Database.Database | null = null;
  try {
    lock = new Database(file, { timeout: wait });
    lock.exec('begin immediate');
    const copied = await backUp(file, kept);
    if (!copied.ok) return copyAsItIs(file, kept);
    const tables = lock
      .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'")
      .pluck()
      .all() as string[];
    for (const table of tables) {
      for (const act of ['insert', 'update', 'delete']) {
        lock.exec(
          `create trigger "replaced_${act}_${table}" before ${act} on "${table}"
           begin select raise(abort, '${REPLACED}'); end`,
        );
      }
    }
    lock.exec('commit');
  } catch (error) {
    // Whoever holds the file, or a full disk, ends the restore: what was written last would be in neither file.
    if (!isDamage(error)) throw error;
    copyAsItIs(file, kept);
  } finally {
    lock?.close();
  }
}

/** What no copy can be made of by SQLite, with what was written last beside it. */
function copyAsItIs(file: string, kept: string): void {
  for (const end of ['', '-wal']) if (existsSync(file + end)) copyFileSync(file + end, kept + end);
}

/** What is wrong with a studio file; null where it is whole and of this Mivvel or an older one. */
export function faultOf(backup: string): Result<never> | null {
  const damaged = fail({ code: 'backup-damaged', path: [] });
  let client: Database.Database | null = null;
  try {
    client = new Database(backup, { readonly: true, fileMustExist: true });
    const studio = client.prepare("select 1 from sqlite_master where name = 'studio'").get();
    const steps = isWhole(client) && studio ? stepsOf(client) : null;
    if (steps === null) return damaged;
    return steps > stepsKnown() ? fail({ code: 'backup-newer', path: [] }) : null;
  } catch {
    return damaged;
  } finally {
    client?.close();
  }
}

/** Whether all pages and indexes of a file are as they should be.
 * @throws errors of the disk */
export function isWholeFile(file: string): boolean {
  const client = new Database(file, { readonly: true, fileMustExist: true });
  try {
    return isWhole(client);
  } catch (error) {
    if (isDamage(error)) return false;
    throw error;
  } finally {
    client.close();
  }
}

function isWhole(client: Database.Database): boolean {
  return client.pragma('integrity_check', { simple: true }) === 'ok';
}
