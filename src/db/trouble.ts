import { constants, accessSync, existsSync, statfsSync } from 'node:fs';
import { dirname } from 'node:path';
import type { StorageTrouble } from '@/core/issue';

/** Something that keeps the studio's file from being opened. */
export class StorageError extends Error {
  constructor(
    readonly trouble: StorageTrouble,
    readonly file: string,
    cause?: unknown,
  ) {
    super(`${trouble}: ${file}`, { cause });
  }
}

/** What a file says to whoever still writes to it after another one was put in its place. */
export const REPLACED = 'This file was replaced.';

/** What codes of SQLite and of the system mean, by how they begin; the longer first. */
const MEANINGS: readonly (readonly [begins: string, means: StorageTrouble])[] = [
  ['SQLITE_BUSY', 'busy'],
  ['SQLITE_LOCKED', 'busy'],
  ['SQLITE_FULL', 'full'],
  ['ENOSPC', 'full'],
  ['EDQUOT', 'full'],
  ['SQLITE_READONLY', 'readOnly'],
  ['EACCES', 'readOnly'],
  ['EROFS', 'readOnly'],
  ['EPERM', 'readOnly'],
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'damaged'],
  ['SQLITE_CANTOPEN', 'missing'],
  ['ENOENT', 'missing'],
  ['ENOTDIR', 'missing'],
  ['EEXIST', 'missing'],
  ['SQLITE_IOERR', 'unreadable'],
  ['EIO', 'unreadable'],
];

/** What is wrong with the disk or the file, where that is what was thrown; null for a bug.
 * @param file that was worked on */
export function troubleOf(error: unknown, file: string): StorageTrouble | null {
  if (error instanceof StorageError) return error.trouble;
  const code =
    typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  if (error instanceof Error && error.message === REPLACED) return 'busy';
  const found = MEANINGS.find(([begins]) => code.startsWith(begins))?.[1] ?? null;
  // SQLite says that it cannot open or write where the disk has no room, or the folder may not be written.
  if (found === 'missing' || found === 'unreadable') return nearerTrouble(file) ?? found;
  return found;
}

/** Bytes without which nothing can be written: a page of the log and what SQLite adds to it. */
const LEAST_FREE = 65_536;

/** Bytes that are free on the disk of a file. @throws errors of the disk */
export function freeBytes(file: string): number {
  const { bavail, bsize } = statfsSync(dirname(file));
  return bavail * bsize;
}

/** What a look at the disk says; null where nothing is wrong with it. */
export function nearerTrouble(file: string): StorageTrouble | null {
  const folder = dirname(file);
  try {
    if (!existsSync(folder)) return 'missing';
    if (freeBytes(file) < LEAST_FREE) return 'full';
    accessSync(folder, constants.W_OK);
    if (existsSync(file)) accessSync(file, constants.R_OK | constants.W_OK);
    return null;
  } catch {
    return 'readOnly';
  }
}
