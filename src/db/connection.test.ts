import { spawn } from 'node:child_process';
import { copyFileSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { closeDb, connectionOf, openDb, theDb, together, type Db } from './connection';

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

describe('two that write one file', () => {
  const file = () => join(folder, 'mivvel.sqlite');

  it('whoever has begun is not refused at its end: the other one waits', () => {
    const db = theDb();
    const other = new Database(file(), { timeout: 0 });
    together(db, () => {
      mark(db);
      expect(() => other.pragma('user_version = 5')).toThrow(/locked/);
      mark(db, 4);
    });
    expect(mark(db)).toBe(4);
    other.pragma('user_version = 5');
    expect(mark(db)).toBe(5);
    other.close();
  });

  it('writes of two processes at once are all stored, and none refused', async () => {
    const { $client } = connectionOf(theDb());
    $client.exec('create table tally (who text)');
    const code = `
      const Database = require('better-sqlite3');
      const db = new Database(process.argv[1], { timeout: 5000 });
      const add = db.prepare("insert into tally values ('other')");
      process.stdout.write('ready');
      for (let n = 0; n < 150; n += 1) add.run();`;
    const other = spawn(process.execPath, ['-e', code, file()], { stdio: ['ignore', 'pipe', 2] });
    const ended = new Promise((done) => other.once('exit', done));
    await new Promise((done) => other.stdout?.once('data', done));
    for (let n = 0; n < 150; n += 1) {
      together(theDb(), () => {
        $client.prepare('select count(*) from tally').get();
        $client.prepare("insert into tally values ('one')").run();
      });
      await new Promise((done) => setImmediate(done));
    }
    expect(await ended).toBe(0);
    const rows = $client.prepare('select who, count(*) as times from tally group by who').all();
    expect(rows).toEqual([
      { who: 'one', times: 150 },
      { who: 'other', times: 150 },
    ]);
  });
});

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
