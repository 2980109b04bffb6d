import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { must } from '@/core/issue';
import { closeDb, openDb } from '@/db';
import { backUpNow, backUpWhenDue, getBackups, listBackups } from './backups';
import { smallStudio, testContext } from './studio.fixture';

const DAY_MS = 86_400_000;
let folder = '';

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mivvel-backups-'));
  vi.stubEnv('MIVVEL_DATA', folder);
  closeDb(openDb(join(folder, 'mivvel.sqlite')));
});

afterEach(() => {
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true, force: true });
});

describe('backups', () => {
  const at = Date.UTC(2026, 2, 4, 9);

  it('are made when the last one is old enough, and those of each day but the last go', async () => {
    expect(must((await backUpWhenDue(() => at)) ?? { ok: false, issues: [] }).at).toBe(at);
    expect(await backUpWhenDue(() => at + DAY_MS - 1000)).toBeNull();
    for (let day = 1; day <= 10; day += 1) await backUpWhenDue(() => at + day * DAY_MS);
    // Seven days, and Sunday the 8th lies among them; the week and the month before have none of their own.
    expect(listBackups().map((one) => (one.at - at) / DAY_MS)).toEqual([10, 9, 8, 7, 6, 5, 4]);
    expect(readdirSync(join(folder, 'backups')).filter((name) => !/\.sqlite$/.test(name))).toEqual(
      [],
    );
  });

  it('none is made by itself where that is chosen', async () => {
    vi.stubEnv('MIVVEL_BACKUP_HOURS', '0');
    expect(await backUpWhenDue(() => at)).toBeNull();
  });

  it('a teacher makes one, sees it, and is told why there is none', async () => {
    const context = testContext();
    const { teacher } = smallStudio(context);
    context.at = at;
    expect(must(getBackups(teacher))).toMatchObject({ latest: null, count: 0, issue: null });
    const made = must(await backUpNow(teacher));
    expect(must(getBackups(teacher))).toMatchObject({ latest: made, count: 1, hours: 24 });
    vi.stubEnv('MIVVEL_BACKUP_PASSPHRASE', 'sticks and brushes');
    context.at += 1000;
    expect(must(await backUpNow(teacher)).locked).toBe(true);
    rmSync(join(folder, 'mivvel.sqlite'));
    writeFileSync(join(folder, 'mivvel.sqlite'), 'x'.repeat(9000));
    const refused = await backUpNow(teacher);
    expect(refused).toMatchObject({ ok: false, issues: [{ code: 'backup-damaged' }] });
    expect(must(getBackups(teacher)).issue).toMatchObject({ code: 'backup-damaged' });
  });

  it('a folder that may not be written is said, with its name', async () => {
    writeFileSync(join(folder, 'taken'), '');
    vi.stubEnv('MIVVEL_BACKUPS', join(folder, 'taken', 'inside'));
    const made = await backUpWhenDue(() => at);
    expect(made).toMatchObject({ ok: false, issues: [{ code: 'storage' }] });
    expect(JSON.stringify(made)).toContain('taken');
  });
});
