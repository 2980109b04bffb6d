import { execFileSync } from 'node:child_process';
import { cpSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { clearAway, ground, lost, made, on } from './ground';
import { keeping } from './keeping';
import { median, ms, p95, type Row } from './report';
import { play, post, send, type Answer } from './students-at-once';

const STUDENTS = 300;
const KILLS = 20;

const refusals = (answers: readonly Answer[]) => answers.filter((one) => one.refused).length;

/** A school of 300 at once, trouble of all kinds amid it, and what nobody may lose. The baselines are what was asked
 * for, and one student alone. */
export async function walls(): Promise<Row[]> {
  await ensureBuilt();
  const rows: Row[] = [];
  for (const part of [school, worstFile, killed, twoProcesses, fullDisk])
    rows.push(...(await part()));
  rows.push(...(await keeping()));
  clearAway();
  return rows;
}

async function school(): Promise<Row[]> {
  const { folder, player, players } = ground(
    'school',
    Array.from({ length: STUDENTS }, () => 20),
  );
  return on(folder, async ({ url }) => {
    await Promise.all(players.map((one) => send(url, one)));
    const alone: number[] = [];
    for (let n = 0; n < 50; n += 1) alone.push((await send(url, player)).ms);
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
  const { folder, player, teacher } = ground('file', [20]);
  return on(folder, async ({ url }) => {
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
      const { player } = from;
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
