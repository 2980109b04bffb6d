import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ok, type Issue, type Result, type StorageTrouble } from '@/core/issue';
import type { Backup, Backups } from '@/core/studio';
import { backUpAside, dataFile, isWholeAside, troubleOf } from '@/db';
import type { Teacher } from './authority';
import { keptOf } from './retention';
import { readSettings } from './settings';

const HOUR_MS = 3_600_000;
const NAME = /^mivvel-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)\.sqlite(\.locked)?$/;

const held = globalThis as {
  /** What went wrong with the last backup that was begun by itself. */
  mivvelBackupIssue?: Issue | null;
  mivvelDamage?: { readonly inode: number; readonly issue: Issue };
};

/** Where backups of the studio file go. */
function backupFolder(): string {
  return readSettings(process.env).MIVVEL_BACKUPS ?? join(dirname(dataFile()), 'backups');
}

/** Backups that there are, latest first. */
export function listBackups(folder = backupFolder()): readonly (Backup & { file: string })[] {
  let names: string[];
  try {
    names = readdirSync(/*turbopackIgnore: true*/ folder);
  } catch {
    return [];
  }
  return names
    .flatMap((name) => {
      const [, day, hour, minute, second, locked] = NAME.exec(name) ?? [];
      const at = Date.parse(`${day}T${hour}:${minute}:${second}Z`);
      if (Number.isNaN(at)) return [];
      const file = join(folder, name);
      const bytes = statSync(file, { throwIfNoEntry: false })?.size ?? 0;
      return [{ at, file, bytes, locked: locked !== undefined }];
    })
    .sort((a, b) => b.at - a.at);
}

/** Makes a backup, and lets go those that need not be kept.
 * @returns issues `backup-damaged`, and `storage` where the disk refuses */
async function makeBackup(now: () => number): Promise<Result<Backup>> {
  const folder = backupFolder();
  const passphrase = readSettings(process.env).MIVVEL_BACKUP_PASSPHRASE ?? null;
  const at = Math.floor(now() / 1000) * 1000;
  const name = new Date(at).toISOString().slice(0, 19).replaceAll(':', '-');
  const to = join(folder, `mivvel-${name}.sqlite${passphrase === null ? '' : '.locked'}`);
  try {
    mkdirSync(folder, { recursive: true });
    const made = await backUpAside(dataFile(), to, passphrase);
    if (!made.ok) return made;
    const all = listBackups(folder);
    const kept = new Set(keptOf(all.map((one) => one.at)));
    for (const one of all) if (!kept.has(one.at)) rmSync(one.file, { force: true });
    return ok({ at, bytes: made.value, locked: passphrase !== null });
  } catch (error) {
    const issue = storageIssue(error, to);
    if (issue) return { ok: false, issues: [issue] };
    throw error;
  }
}

/** Makes a backup where the latest is older than it may be. @returns issues, or null where none was due */
export async function backUpWhenDue(now: () => number): Promise<Result<Backup> | null> {
  const hours = readSettings(process.env).MIVVEL_BACKUP_HOURS;
  const [latest] = listBackups();
  if (hours === 0 || (latest && now() - latest.at < hours * HOUR_MS)) return null;
  const made = await makeBackup(now);
  held.mivvelBackupIssue = made.ok ? null : (made.issues[0] ?? null);
  return made;
}

/** Looks through the whole studio file, beside all else; what is wrong with it is shown where backups are, and by
 * `healthNow`.
 * @returns the issue; null where the file is whole */
export async function lookThrough(): Promise<Issue | null> {
  const file = dataFile();
  const inode = statSync(file).ino;
  const isWhole = await isWholeAside(file);
  held.mivvelDamage = isWhole ? undefined : { inode, issue: issueOf('faulty', file) };
  return foundDamage();
}

/** What the last look through the whole file found, as long as it is that file. */
export function foundDamage(): Issue | null {
  const { mivvelDamage: found } = held;
  const now = found && statSync(dataFile(), { throwIfNoEntry: false });
  return now?.ino === found?.inode ? (found?.issue ?? null) : null;
}

/** What a teacher sees of backups. */
export function getBackups(_: Teacher): Result<Backups> {
  const all = listBackups();
  return ok({
    folder: backupFolder(),
    count: all.length,
    latest: all[0] ? { at: all[0].at, bytes: all[0].bytes, locked: all[0].locked } : null,
    hours: readSettings(process.env).MIVVEL_BACKUP_HOURS,
    issue: foundDamage() ?? held.mivvelBackupIssue ?? null,
  });
}

/** A teacher makes one now.
 * @returns issues `backup-damaged`, `storage` */
export async function backUpNow({ now }: Teacher): Promise<Result<Backup>> {
  const made = await makeBackup(now);
  held.mivvelBackupIssue = made.ok ? null : (made.issues[0] ?? null);
  return made;
}

/** What was thrown, as an issue, where the disk or the file is at fault; null for a bug. */
export function storageIssue(error: unknown, file = dataFile()): Issue | null {
  const trouble = troubleOf(error, file);
  return trouble && issueOf(trouble, file);
}

/** Trouble with a file, and the latest backup that could mend it. */
export function issueOf(trouble: StorageTrouble, file: string): Issue {
  return { code: 'storage', path: [], trouble, file, backup: listBackups()[0]?.file ?? null };
}
