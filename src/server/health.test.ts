import { closeSync, mkdtempSync, openSync, readFileSync, renameSync } from 'node:fs';
import { rmSync, writeFileSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { closeDb, openDb, theDb } from '@/db';
import { connectionOf } from '@/db/connection';
import { lookThrough } from './backups';
import { healthNow, isReady, nowWarm } from './health';

let folder = '';

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mivvel-health-'));
  vi.stubEnv('MIVVEL_DATA', folder);
});

afterEach(() => {
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true, force: true });
});

describe('health', () => {
  const file = () => join(folder, 'mivvel.sqlite');

  it('is well where the file can be read and written', () => {
    expect(healthNow()).toBeNull();
  });

  it('says which file is gone', () => {
    theDb();
    rmSync(file());
    expect(healthNow()).toMatchObject({ code: 'storage', trouble: 'missing', file: file() });
  });

  it('says what a look through the whole file found, until another file is there', async () => {
    connectionOf(theDb()).$client.pragma('wal_checkpoint(TRUNCATE)');
    expect(await lookThrough()).toBeNull();
    const whole = readFileSync(file());
    const handle = openSync(file(), 'r+');
    writeSync(handle, Buffer.alloc(whole.length - 8192, 0x55), 0, whole.length - 8192, 8192);
    closeSync(handle);
    const faulty = { code: 'storage', trouble: 'faulty', file: file() };
    expect(await lookThrough()).toMatchObject(faulty);
    expect(healthNow()).toMatchObject(faulty);
    // Visitors are served all the same.
    nowWarm();
    expect(isReady()).toBe(true);
    writeFileSync(`${file()}.new`, whole);
    renameSync(`${file()}.new`, file());
    expect(healthNow()).toBeNull();
  });

  it('a file that is damaged in its pages is not opened', () => {
    const db = openDb(file());
    // Pages that nothing asks for when it is opened.
    connectionOf(db).$client.exec(
      'create table note (of); with recursive n(i) as (select 1 union all select i + 1 from n where i < 400) insert into note select randomblob(1000) from n',
    );
    closeDb(db);
    const bytes = readFileSync(file());
    bytes.fill(0x55, bytes.length - 4096 * 20);
    writeFileSync(file(), bytes);
    expect(healthNow()).toMatchObject({ code: 'storage', trouble: 'damaged' });
  });
});
