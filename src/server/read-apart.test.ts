import { Worker } from 'node:worker_threads';
import { describe, expect, it } from 'vitest';
import { LIKELY_CHOICES } from '@/core/format';
import { ReadingRoom } from './read-apart';

const FILE = { name: 'x.mid', bytes: new Uint8Array(3) };

/** A room whose readers do what a script says. */
function roomOf(script: string, { ms = 20_000, mb = 64, atOnce = 2 } = {}) {
  const begun: Worker[] = [];
  const room = new ReadingRoom({ ms, mb, atOnce }, (options) => {
    const worker = new Worker(
      `const { parentPort, workerData } = require('node:worker_threads');\n${script}`,
      { ...options, eval: true },
    );
    begun.push(worker);
    return worker;
  });
  return { begun, read: () => room.read(FILE, LIKELY_CHOICES) };
}

const READ = "parentPort.postMessage({ ok: true, value: { kind: 'roster', rows: [] } });";

describe('a room for reading', () => {
  it('hands the file over, and what was read back', async () => {
    const { read } = roomOf(
      'parentPort.postMessage({ ok: true, value: [workerData.file, workerData.choices] });',
    );
    expect(await read()).toEqual({ ok: true, value: [FILE, LIKELY_CHOICES] });
  });

  it('leaves what takes too long, and reads the next', async () => {
    const { read } = roomOf('for (;;) {}', { ms: 50, atOnce: 1 });
    const heavy = { code: 'file-heavy', what: 'seconds', most: 0.05 };
    expect(await Promise.all([read(), read()])).toMatchObject([
      { ok: false, issues: [heavy] },
      { ok: false, issues: [heavy] },
    ]);
  });

  it('leaves what takes too much memory', async () => {
    const { read } = roomOf('const all = []; for (;;) all.push(new Array(10_000).fill({}));', {
      mb: 16,
    });
    expect(await read()).toMatchObject({
      ok: false,
      issues: [{ code: 'file-heavy', what: 'megabytes', most: 16 }],
    });
  });

  it('goes on answering while a file is read', async () => {
    const { read } = roomOf('for (;;) {}', { ms: 300 });
    let turns = 0;
    const turning = setInterval(() => (turns += 1), 1);
    await read();
    clearInterval(turning);
    expect(turns).toBeGreaterThan(0);
  });

  it('reads two at once and keeps the others in line', async () => {
    const { begun, read } = roomOf(
      `parentPort.once('message', () => { ${READ} parentPort.close(); });`,
    );
    const all = [read(), read(), read()];
    await Promise.resolve();
    expect(begun).toHaveLength(2);
    begun[0]?.postMessage('go');
    await all[0];
    await Promise.resolve();
    expect(begun).toHaveLength(3);
    for (const worker of begun.slice(1)) worker.postMessage('go');
    expect((await Promise.all(all)).every(({ ok }) => ok)).toBe(true);
  });

  it('throws what the reader throws, and what ends without a word', async () => {
    await expect(roomOf("throw new TypeError('a bug');").read()).rejects.toThrow('a bug');
    await expect(roomOf('process.exit(0);').read()).rejects.toThrow('unread');
  });
});
