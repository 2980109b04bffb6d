import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { closeDb, connectionOf, theDb } from './connection';
import { StorageError, troubleOf } from './trouble';

let folder = '';
const file = () => join(folder, 'mivvel.sqlite');

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mivvel-trouble-'));
  vi.stubEnv('MIVVEL_DATA', folder);
});

afterEach(() => {
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true, force: true });
});

/** What something that throws says is wrong. */
function trouble(run: () => unknown): string | null {
  try {
    run();
    return 'nothing';
  } catch (error) {
    return troubleOf(error, file());
  }
}

describe('trouble with the studio’s file', () => {
  it('what is no studio file is damaged, and stays as it is', () => {
    writeFileSync(file(), 'not a database, but long enough to be looked at as one'.repeat(50));
    expect(trouble(theDb)).toBe('damaged');
    expect(trouble(theDb)).toBe('damaged');
  });

  it('a file that vanishes while it is open is missing: nothing is written to where it was', () => {
    const db = theDb();
    connectionOf(db).$client.exec('create table t (n)');
    for (const end of ['', '-wal', '-shm']) rmSync(file() + end, { force: true });
    expect(trouble(theDb)).toBe('missing');
    rmSync(folder, { recursive: true });
    expect(trouble(theDb)).toBe('missing');
    closeDb(db);
  });

  it('a full disk, stood in for by a file that may not grow, says so; with room it goes on', () => {
    const db = theDb();
    const { $client } = connectionOf(db);
    $client.exec('create table t (text)');
    const pages = $client.pragma('page_count', { simple: true });
    $client.pragma(`max_page_count = ${String(pages)}`);
    const write = () => $client.prepare('insert into t values (?)').run('x'.repeat(100_000));
    expect(trouble(write)).toBe('full');
    $client.pragma('max_page_count = 1000000');
    expect(trouble(write)).toBe('nothing');
    closeDb(db);
  });

  it('a file that may only be read, and one that another process holds', () => {
    closeDb(theDb());
    const reader = new Database(file(), { readonly: true });
    expect(trouble(() => reader.exec('create table t (n)'))).toBe('readOnly');
    reader.close();
    const [one, other] = [new Database(file()), new Database(file(), { timeout: 0 })];
    one.exec('begin immediate');
    expect(trouble(() => other.exec('create table t (n)'))).toBe('busy');
    one.close();
    other.close();
  });

  it('anything else is a bug, and stays one', () => {
    expect(troubleOf(new TypeError('x'), file())).toBeNull();
    expect(troubleOf(null, file())).toBeNull();
    const appendOnly = Object.assign(new Error('The log is append-only.'), {
      code: 'SQLITE_CONSTRAINT_TRIGGER',
    });
    expect(troubleOf(appendOnly, file())).toBeNull();
    expect(troubleOf(new StorageError('full', file()), file())).toBe('full');
    expect(troubleOf(Object.assign(new Error(), { code: 'ENOSPC' }), file())).toBe('full');
  });
});
