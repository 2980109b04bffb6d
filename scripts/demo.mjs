// Everything from nothing to a running demo: install, build, migrate, seed, start.
import { spawn } from 'node:child_process';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { freePort } from './lib/port.mjs';
import { bin, QUIET, ROOT, run, stop } from './lib/run.mjs';

const FIRST_PORT = 3000;

await ensureInstalled();
await ensureBuilt();
if ((await run(bin('tsx'), ['scripts/seed.ts'])) !== 0) {
  stop('The demo data could not be made; is the data folder writable? MIVVEL_DATA chooses it.');
}
const port = await freePort(FIRST_PORT);
const server = spawn(bin('next'), ['start', '-p', String(port)], {
  cwd: ROOT,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, ...QUIET },
});
server.stdout.on('data', (chunk) => {
  const said = String(chunk);
  const [, code] = /\/setup\?code=(\w+)/.exec(said) ?? [];
  if (said.includes('Ready')) {
    console.log(`Mivvel is ready: http://localhost:${port}  (Ctrl C stops it)`);
  }
  if (code) console.log(`A studio of your own: http://localhost:${port}/setup?code=${code}`);
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
