import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { freePort } from '../scripts/lib/port.mjs';
import { bin } from '../scripts/lib/run.mjs';
import { median, timed, type Row } from './report';

const ROUNDS = 5;

/** From starting the built app on a filled data folder to the first page that reads from it; the
 * baseline starts Node with an empty program. */
export async function coldStart(): Promise<Row[]> {
  await ensureBuilt();
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-bench-'));
  const env = { ...process.env, MIVVEL_DATA: folder, NEXT_TELEMETRY_DISABLED: '1' };
  spawnSync(bin('tsx'), ['scripts/seed.ts'], { env });
  const starts: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) starts.push(await startOnce(env));
  rmSync(folder, { recursive: true, force: true });
  const bare = median(
    Array.from({ length: ROUNDS }, () => timed(() => spawnSync(process.execPath, ['-e', '']))),
  );
  const mine = median(starts);
  return [
    {
      what: 'cold start to the first page, once built',
      measured: `${Math.round(mine)} ms`,
      against: `${(mine / bare).toFixed(1)} × starting Node with an empty program`,
    },
  ];
}

async function startOnce(env: NodeJS.ProcessEnv): Promise<number> {
  const port = await freePort();
  const from = performance.now();
  const server = spawn(bin('next'), ['start', '-p', String(port)], { env, stdio: 'ignore' });
  const gone = new Promise((resolve) => server.once('exit', resolve));
  try {
    for (;;) {
      if (server.exitCode !== null) throw new Error('the app did not start');
      const page = await fetch(`http://localhost:${port}/`).catch(() => null);
      if (page?.ok && (await page.text()).includes('Lantern Quay')) return performance.now() - from;
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  } finally {
    server.kill();
    await gone;
  }
}
