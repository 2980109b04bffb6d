import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { App } from '../e2e/server';
import { bin } from '../scripts/lib/run.mjs';
import { ground, on } from './ground';
import { median, ms, type Row } from './report';
import { send, type Player } from './students-at-once';

/** A copy made and put back, and a log that grew long. */
export async function keeping(): Promise<Row[]> {
  const rows: Row[] = [];
  for (const part of [backupUnderLoad, restoreAndStart, longLog]) rows.push(...(await part()));
  return rows;
}

const TSX = bin('tsx');

function commandLine(folder: string, ...args: string[]): void {
  const env = { ...process.env, MIVVEL_DATA: folder };
  execFileSync(TSX, ['scripts/cli/index.ts', ...args], { env, stdio: 'ignore' });
}

/** The one that the server makes by itself, twenty seconds after a start. */
async function backupUnderLoad(): Promise<Row[]> {
  const { folder, player, players } = ground(
    'backup',
    Array.from({ length: 20 }, () => 5000),
  );
  return on(
    folder,
    async ({ url }) => {
      await Promise.all(players.map((one) => send(url, one)));
      const backups = join(folder, 'backups');
      const files = (end: RegExp) =>
        existsSync(backups) ? readdirSync(backups).filter((name) => end.test(name)) : [];
      const one = async () => (await send(url, player)).ms;
      const before: number[] = [];
      const during: number[] = [];
      while (files(/\.part$/).length === 0 && files(/\.sqlite$/).length === 0) {
        before.push(await one());
      }
      while (files(/\.sqlite$/).length === 0) during.push(await one());
      return [
        {
          what: 'the server backs up 100,000 entries while a student writes: longest write',
          measured: `${ms(Math.max(...during))} of ${during.length}`,
          against: `${ms(median(during))} in the middle; before it ${ms(Math.max(...before.slice(-200)))} and ${ms(median(before))}`,
        },
      ];
    },
    '24',
  );
}

async function restoreAndStart(): Promise<Row[]> {
  const { folder } = ground(
    'restore',
    Array.from({ length: 20 }, () => 5000),
  );
  const copy = join(folder, '..', 'copy.sqlite');
  commandLine(folder, 'backup', copy);
  const from = performance.now();
  commandLine(folder, 'restore', copy);
  const restored = performance.now();
  const app = new App(folder);
  await app.start();
  await fetch(app.url);
  const open = performance.now();
  await app.stop('SIGKILL');
  return [
    {
      what: 'a studio of 100,000 entries restored and opened again',
      measured: ms(open - from),
      against: `${ms(restored - from)} of it the command line`,
    },
  ];
}

async function longLog(): Promise<Row[]> {
  const { folder, player, players } = ground('long', [10_000, 10], 1);
  const [long = player, short = player] = players;
  const firstOf = ({ cookie }: Player) =>
    on(folder, async ({ url }) => {
      // Routes are loaded by then; what is measured is the page and the log.
      await ready(url);
      const looked = async () => {
        const from = performance.now();
        await (await fetch(`${url}/today`, { headers: { cookie } })).text();
        return performance.now() - from;
      };
      const first = await looked();
      return { first, again: await looked() };
    });
  const other = await firstOf(short);
  const mine = await firstOf(long);
  const write = await on(folder, async ({ url }) => {
    await ready(url);
    return (await send(url, long)).ms;
  });
  return [
    {
      what: 'the first Today after a start, one item with 10,000 entries',
      measured: ms(mine.first),
      against: `${ms(other.first)} with ten entries; ${ms(mine.again)} the second time; a first write ${ms(write)}`,
    },
  ];
}

async function ready(url: string): Promise<void> {
  while ((await fetch(`${url}/api/ready`)).status !== 200) {
    await new Promise((go) => setTimeout(go, 20));
  }
}
