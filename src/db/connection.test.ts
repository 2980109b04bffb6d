import { copyFileSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { closeDb, connectionOf, openDb, theDb, type Db } from './connection';

let folder = '';

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mivvel-db-'));
  vi.stubEnv('MIVVEL_DATA', folder);
});

afterEach(() => {
  closeDb(theDb());
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true });
});

/** A number that a file keeps, to know it by. */
function mark(db: Db, number?: number): unknown {
  const { $client } = connectionOf(db);
  if (number !== undefined) $client.pragma(`user_version = ${number}`);
  return $client.pragma('user_version', { simple: true });
}

describe('theDb', () => {
  it('is one as long as its file stays', () => {
    const db = theDb();
    mark(db, 7);
    expect(theDb()).toBe(db);
  });

  it('a file that was put in its place is opened, and the old one let go', () => {
    const other = openDb(join(folder, 'backup.sqlite'));
    mark(other, 2);
    closeDb(other);
    const before = theDb();
    mark(before, 1);
    copyFileSync(join(folder, 'backup.sqlite'), join(folder, 'next.sqlite'));
    for (const end of ['-wal', '-shm'])
      rmSync(join(folder, `mivvel.sqlite${end}`), { force: true });
    renameSync(join(folder, 'next.sqlite'), join(folder, 'mivvel.sqlite'));
    const after = theDb();
    expect(mark(after)).toBe(2);
    expect(after).not.toBe(before);
    expect(() => mark(before)).toThrow(/not open/);
    mark(after, 3);
    expect(mark(theDb())).toBe(3);
  });
});
