import { spawn } from 'node:child_process';
import { createCipheriv, randomBytes, scryptSync } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { backUp, restore } from './backup';
import { closeDb, connectionOf, openDb } from './connection';
import { lockFile, unlockFile } from './locked';

let folder = '';
const file = () => join(folder, 'mivvel.sqlite');
const at = (name: string) => join(folder, name);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mivvel-backup-'));
  const db = openDb(file());
  connectionOf(db).$client.exec('create table note (text); insert into note values (1)');
  closeDb(db);
});

afterEach(() => rmSync(folder, { recursive: true, force: true }));

function notesIn(path: string): unknown[] {
  const client = new Database(path, { readonly: true });
  const found = client.prepare('select text from note order by text').pluck().all();
  client.close();
  return found;
}

const codes = (result: Awaited<ReturnType<typeof restore>> | Awaited<ReturnType<typeof backUp>>) =>
  result.ok ? [] : result.issues.map(({ code }) => code);

describe('a backup', () => {
  it('is whole, and brings back what was wiped', async () => {
    expect(await backUp(file(), at('one.sqlite'))).toMatchObject({ ok: true });
    rmSync(file());
    expect(codes(await restore(at('one.sqlite'), folder, 'kept.sqlite'))).toEqual([]);
    expect(notesIn(file())).toEqual([1]);
  });

  it('ends although another connection writes without pause', async () => {
    const writer = new Database(file());
    // More pages than are copied in a moment.
    writer.exec(
      'create table page (of); with recursive n(i) as (select 1 union all select i + 1 from n where i < 3000) insert into page select zeroblob(4000) from n',
    );
    let turns = 0;
    let done = false;
    const writes = new Promise<void>((ended) => {
      (function write() {
        if (done || turns > 20_000) return ended();
        turns += 1;
        writer.exec(`insert into note values (${turns + 1})`);
        setImmediate(write);
      })();
    });
    const made = await Promise.race([backUp(file(), at('one.sqlite')), writes]);
    done = true;
    writer.close();
    expect(made).toMatchObject({ ok: true });
    expect(notesIn(at('one.sqlite')).length).toBeGreaterThan(0);
  });

  it('of a damaged file is none, and leaves nothing behind', async () => {
    const bytes = readFileSync(file());
    bytes.fill(0x55, 4096 * 2, 4096 * 6);
    writeFileSync(file(), bytes);
    expect(codes(await backUp(file(), at('one.sqlite')))).toEqual(['backup-damaged']);
    expect(readdirSync(folder).filter((name) => name.startsWith('one'))).toEqual([]);
  });

  it('into a folder that cannot be made throws, and leaves nothing behind', async () => {
    writeFileSync(at('taken'), '');
    await expect(backUp(file(), at('taken/one.sqlite'))).rejects.toMatchObject({ code: /^E/ });
    expect(readdirSync(folder).sort()).toEqual(['mivvel.sqlite', 'taken']);
  });

  it('is locked in pieces, and opened byte by byte as it was', () => {
    const plain = randomBytes(2 ** 20 * 2 + 17);
    for (const bytes of [plain, plain.subarray(0, 2 ** 20), plain.subarray(0, 0)]) {
      writeFileSync(at('plain'), bytes);
      lockFile(at('plain'), at('locked'), 'sticks and brushes');
      expect(unlockFile(at('locked'), at('open'), 'sticks and brushes')).toBe(true);
      expect(readFileSync(at('open')).equals(bytes)).toBe(true);
    }
    writeFileSync(at('locked'), readFileSync(at('locked')).subarray(0, 20));
    expect(unlockFile(at('locked'), at('open'), 'sticks and brushes')).toBe(false);
  });

  it('of before, which was locked as one piece, still opens', () => {
    const [salt, once] = [randomBytes(16), randomBytes(12)];
    const key = scryptSync('old words here', salt, 32, { N: 65536, r: 8, p: 1, maxmem: 2 ** 28 });
    const cipher = createCipheriv('aes-256-gcm', key, once);
    const inside = Buffer.concat([cipher.update('all of it'), cipher.final()]);
    const mark = Buffer.from('MIVVEL-LOCKED-1\n');
    writeFileSync(at('old'), Buffer.concat([mark, salt, once, cipher.getAuthTag(), inside]));
    expect(unlockFile(at('old'), at('open'), 'old words here')).toBe(true);
    expect(readFileSync(at('open'), 'utf8')).toBe('all of it');
  });

  it('is opened by its passphrase alone, and not where it was changed', async () => {
    const locked = at('one.sqlite.locked');
    await backUp(file(), locked, 'sticks and brushes');
    expect(readFileSync(locked).includes('SQLite format 3')).toBe(false);
    const tried = (passphrase: string | null) => restore(locked, folder, 'kept.sqlite', passphrase);
    expect(codes(await tried(null))).toEqual(['backup-locked']);
    expect(codes(await tried('sticks and brushe'))).toEqual(['backup-locked']);
    expect(existsSync(at('kept.sqlite'))).toBe(false);
    expect(codes(await tried('sticks and brushes'))).toEqual([]);
    expect(notesIn(file())).toEqual([1]);
    const bytes = readFileSync(locked);
    bytes[bytes.length - 1] = (bytes.at(-1) ?? 0) ^ 1;
    writeFileSync(locked, bytes);
    expect(codes(await tried('sticks and brushes'))).toEqual(['backup-locked']);
  });
});

describe('restore', () => {
  it('waits for whoever holds the file, then changes nothing', async () => {
    await backUp(file(), at('one.sqlite'));
    const holder = new Database(file());
    holder.exec('begin immediate; insert into note values (2)');
    const tried = restore(at('one.sqlite'), folder, 'kept.sqlite', null, 20);
    await expect(tried).rejects.toMatchObject({ code: 'SQLITE_BUSY' });
    holder.exec('commit');
    holder.close();
    expect(notesIn(file())).toEqual([1, 2]);
    expect(readdirSync(folder).filter((name) => /kept|coming/.test(name))).toEqual([]);
  });

  it('keeps what was written last beside a file that is damaged', async () => {
    await backUp(file(), at('one.sqlite'));
    writeFileSync(file(), 'rubbish');
    writeFileSync(`${file()}-wal`, 'what was written last');
    expect(codes(await restore(at('one.sqlite'), folder, 'kept.sqlite'))).toEqual([]);
    expect(readFileSync(at('kept.sqlite-wal'), 'utf8')).toBe('what was written last');
    expect(existsSync(`${file()}-wal`)).toBe(false);
    expect(notesIn(file())).toEqual([1]);
  });

  it('puts a backup even in the place of a file that cannot be read, which is kept', async () => {
    await backUp(file(), at('one.sqlite'));
    writeFileSync(file(), 'rubbish');
    expect(codes(await restore(at('one.sqlite'), folder, 'kept.sqlite'))).toEqual([]);
    expect(readFileSync(at('kept.sqlite'), 'utf8')).toBe('rubbish');
    expect(notesIn(file())).toEqual([1]);
  });

  it('while somebody writes loses nothing that was acknowledged', async () => {
    await backUp(file(), at('one.sqlite'));
    // Writes as a server does: by the file that it has open, and by another one once that was replaced.
    const code = `
      const Database = require('better-sqlite3');
      const { statSync } = require('node:fs');
      const path = process.argv[1];
      let db = null, inode = 0, refused = 0;
      const open = () => {
        if (db) db.close();
        db = new Database(path, { timeout: 5000 });
        db.pragma('synchronous = FULL');
        inode = statSync(path).ino;
      };
      for (let n = 2; n < 400; n += 1) {
        for (;;) {
          try {
            if (!db || statSync(path).ino !== inode) open();
            db.prepare('insert into note values (?)').run(n);
            process.stdout.write(n + '\\n');
            break;
          } catch (error) {
            if (++refused > 2000) throw error;
            Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 2);
          }
        }
      }`;
    const writer = spawn(process.execPath, ['-e', code, file()], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    const ended = new Promise((done) => writer.once('exit', done));
    const begun = new Promise((done) => writer.stdout?.once('data', done));
    writer.stdout?.on('data', (chunk) => (said += String(chunk)));
    await begun;
    expect(codes(await restore(at('one.sqlite'), folder, 'kept.sqlite'))).toEqual([]);
    expect(await ended).toBe(0);
    const acknowledged = said.trim().split('\n').map(Number);
    expect(acknowledged).toHaveLength(398);
    const there = new Set([...notesIn(at('kept.sqlite')), ...notesIn(file())]);
    expect(acknowledged.filter((n) => !there.has(n))).toEqual([]);
    expect(notesIn(at('kept.sqlite')).length).toBeGreaterThan(1);
  });
});
