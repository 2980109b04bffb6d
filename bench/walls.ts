import { execFileSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { strToU8, zipSync } from 'fflate';
import { closeDb } from '@/db';
import { App } from '../e2e/server';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { bin } from '../scripts/lib/run.mjs';
import { largeStudio } from './large-studio';
import { median, type Row } from './report';
import { p95, play, playerOf, post, send, type Answer, type Player } from './students-at-once';

const STUDENTS = 300;
const KILLS = 20;

/** A studio in a folder of its own, as files that scenarios begin with. */
interface Ground {
  readonly folder: string;
  readonly players: readonly Player[];
  readonly teacher: string;
}

const MADE: string[] = [];

/** A folder that goes when all is measured. */
function made(name: string): string {
  const folder = mkdtempSync(join(tmpdir(), `mivvel-${name}-`));
  MADE.push(folder);
  return folder;
}

function ground(name: string, entries: readonly number[], items?: number): Ground {
  const folder = join(made('walls'), name);
  mkdirSync(folder);
  const large = largeStudio(join(folder, 'mivvel.sqlite'), entries, items);
  const players = large.students.map(playerOf);
  const ids = large.context.db;
  const teacher = large.teacherId;
  closeDb(ids);
  return { folder, players, teacher: `mivvel-viewer=${teacher}` };
}

/** Runs something against Mivvel on a folder.
 * @param hours from one backup to the next; none is made when left out */
async function on<T>(folder: string, run: (app: App) => Promise<T>, hours = '0'): Promise<T> {
  process.env.MIVVEL_BACKUP_HOURS = hours;
  const app = new App(folder);
  await app.start();
  try {
    return await run(app);
  } finally {
    await app.stop('SIGKILL');
  }
}

/** Entries that are in a file. */
function stored(folder: string): ReadonlySet<string> {
  const db = new Database(join(folder, 'mivvel.sqlite'));
  const ids = new Set(db.prepare('select id from entry').pluck().all() as string[]);
  db.close();
  return ids;
}

function lost(folder: string, answers: readonly Answer[]): number {
  const there = stored(folder);
  return answers.flatMap((one) => one.taken).filter((id) => !there.has(id)).length;
}

const ms = (value: number) => `${Math.round(value)} ms`;
const refusals = (answers: readonly Answer[]) => answers.filter((one) => one.refused).length;

/** A school of 300 at once, trouble of all kinds amid it, and what nobody may lose. The baselines are what was asked
 * for, and one student alone. */
export async function walls(): Promise<Row[]> {
  await ensureBuilt();
  const rows: Row[] = [];
  for (const part of [school, worstFile, killed, twoProcesses, fullDisk])
    rows.push(...(await part()));
  for (const part of [backupUnderLoad, restoreAndStart, longLog]) rows.push(...(await part()));
  for (const folder of MADE) rmSync(folder, { recursive: true, force: true });
  return rows;
}

async function school(): Promise<Row[]> {
  const { folder, players } = ground(
    'school',
    Array.from({ length: STUDENTS }, () => 20),
  );
  return on(folder, async ({ url }) => {
    await Promise.all(players.map((one) => send(url, one)));
    const alone: number[] = [];
    for (let n = 0; n < 50; n += 1) alone.push((await send(url, players[0] ?? never())).ms);
    const slow = await play(url, players, 60, 10_000);
    const fast = await play(url, players, 15, 0);
    const one = `${ms(median(alone))} for one student alone`;
    return [
      {
        what: `${STUDENTS} students, a write each 10 s for a minute: 95th percentile`,
        measured: ms(p95(slow.answers.map((answer) => answer.ms))),
        against: `${one}; ${refusals(slow.answers)} refused, ${lost(folder, slow.answers)} lost`,
      },
      {
        what: `${STUDENTS} students without pause: writes a second`,
        measured: `${Math.round(fast.answers.length / fast.seconds)}, 95th percentile ${ms(p95(fast.answers.map((answer) => answer.ms)))}`,
        against: `fewest to most ${fast.fewest} : ${fast.most}; ${refusals(fast.answers)} refused, ${lost(folder, fast.answers)} lost`,
      },
    ];
  });
}

/** A packed score of nothing but parts within parts, just under what is refused at once. */
function heavyFile(): string {
  const nothing = '<note/>'.repeat(900_000);
  const score = `<score-partwise><part id="P"><measure>${nothing}</measure></part></score-partwise>`;
  const container = '<container><rootfiles><rootfile full-path="s.xml"/></rootfiles></container>';
  const files = { 'META-INF/container.xml': strToU8(container), 's.xml': strToU8(score) };
  return Buffer.from(zipSync(files)).toString('base64');
}

async function worstFile(): Promise<Row[]> {
  const { folder, players, teacher } = ground('file', [20]);
  return on(folder, async ({ url }) => {
    const player = players[0] ?? never();
    await send(url, player);
    const choices = { grid: null, parts: null, student: null };
    const sent = { name: 'heavy.mxl', file: heavyFile(), act: 'look', choices };
    let reading = true;
    const read = post(`${url}/api/import`, teacher, sent).finally(() => (reading = false));
    const others: number[] = [];
    while (reading) others.push((await send(url, player)).ms);
    const { ms: took, status } = await read;
    return [
      {
        what: 'a file of a million elements is read: 95th percentile of the others',
        measured: `${ms(p95(others))} over ${others.length}`,
        against: `the file took ${ms(took)}, answered ${status}`,
      },
    ];
  });
}

async function killed(): Promise<Row[]> {
  const { folder, players } = ground(
    'killed',
    Array.from({ length: 20 }, () => 5),
  );
  const answers: Answer[] = [];
  await on(folder, async (app) => {
    const enough = 10_000;
    const taken = () => answers.reduce((sum, one) => sum + one.taken.length, 0);
    for (let kill = 1; kill <= KILLS; kill += 1) {
      const until = (enough * kill) / KILLS;
      let dead = false;
      const writing = players.map(async (player) => {
        while (!dead) answers.push(await send(app.url, player, 10));
      });
      while (taken() < until) await new Promise((go) => setTimeout(go, 5));
      await app.stop('SIGKILL');
      dead = true;
      await Promise.all(writing);
      await app.start();
    }
  });
  const acknowledged = answers.flatMap((one) => one.taken).length;
  return [
    {
      what: `${KILLS} kill -9 amid ${acknowledged} acknowledged entries: lost`,
      measured: String(lost(folder, answers)),
      against: '0 asked for',
    },
  ];
}

async function twoProcesses(): Promise<Row[]> {
  const { folder, players } = ground(
    'two',
    Array.from({ length: 20 }, () => 5),
  );
  const answers: Answer[] = [];
  await on(folder, async (one) => {
    await on(folder, async (other) => {
      await Promise.all(
        players.map(async (player, index) => {
          const { url } = index % 2 === 0 ? one : other;
          for (let n = 0; n < 30; n += 1) answers.push(await send(url, player));
        }),
      );
    });
  });
  return [
    {
      what: `two processes on one folder, ${answers.length} writes: refused`,
      measured: String(refusals(answers)),
      against: `${lost(folder, answers)} lost`,
    },
  ];
}

/** On a disk of its own that is filled up; needs the right to mount one. */
async function fullDisk(): Promise<Row[]> {
  const what = 'a full disk: entries lost';
  const from = ground('full', [5]);
  const disk = made('disk');
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=16m', 'tmpfs', disk], { stdio: 'ignore' });
  } catch {
    return [
      { what, measured: 'not measured', against: 'no disk of its own could be mounted here' },
    ];
  }
  try {
    cpSync(from.folder, disk, { recursive: true });
    return await on(disk, async ({ url }) => {
      const player = from.players[0] ?? never();
      const answers = [await send(url, player)];
      try {
        execFileSync('dd', ['if=/dev/zero', `of=${join(disk, 'full')}`, 'bs=64k'], {
          stdio: 'ignore',
        });
      } catch {
        // It ends where the disk does.
      }
      // What was made room for before still takes some.
      for (let n = 0; n < 400 && !answers.at(-1)?.refused; n += 1) {
        answers.push(await send(url, player));
      }
      const refused = refusals(answers);
      rmSync(join(disk, 'full'));
      const after = await send(url, player);
      return [
        {
          what,
          measured: `${lost(disk, answers)} of ${answers.length - refused}, ${refused} refused`,
          against: `with room again the next one is ${after.refused ? 'refused' : 'taken'}`,
        },
      ];
    });
  } finally {
    execFileSync('umount', ['-l', disk]);
  }
}

const TSX = bin('tsx');

function commandLine(folder: string, ...args: string[]): void {
  const env = { ...process.env, MIVVEL_DATA: folder };
  execFileSync(TSX, ['scripts/cli/index.ts', ...args], { env, stdio: 'ignore' });
}

/** The one that the server makes by itself, twenty seconds after a start. */
async function backupUnderLoad(): Promise<Row[]> {
  const { folder, players } = ground(
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
      const one = async () => (await send(url, players[0] ?? never())).ms;
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
  const { folder, players } = ground('long', [10_000, 10], 1);
  const [long = never(), short = never()] = players;
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

function never(): never {
  throw new Error('nobody there');
}
