import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { freePort } from '../scripts/lib/port.mjs';
import { bin } from '../scripts/lib/run.mjs';

/** Runs something against Mivvel as it is built, on an empty file of its own.
 * @param run gets the address */
export async function withMivvel<T>(run: (url: string) => Promise<T>): Promise<T> {
  await ensureBuilt();
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-bench-'));
  const port = await freePort();
  const env = { ...process.env, MIVVEL_DATA: folder, NEXT_TELEMETRY_DISABLED: '1' };
  const server = spawn(bin('next'), ['start', '-p', String(port)], { env, stdio: 'pipe' });
  await new Promise<void>((ready) =>
    server.stdout.on('data', (chunk) => String(chunk).includes('Ready') && ready()),
  );
  try {
    return await run(`http://localhost:${port}`);
  } finally {
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill();
    await gone;
    rmSync(folder, { recursive: true, force: true });
  }
}
