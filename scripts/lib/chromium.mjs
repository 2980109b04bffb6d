import { existsSync } from 'node:fs';
import { run, stop } from './run.mjs';

export const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium for the browser tests; installed when it is missing and that is allowed. */
export async function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  if (process.getuid?.() !== 0) {
    stop('The browser tests need Chromium: apt-get install --no-install-recommends chromium');
  }
  console.log('Installing Chromium.');
  const wait = ['-o', 'DPkg::Lock::Timeout=300', '-qq'];
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', [...wait, 'update'], env);
  const install = [...wait, 'install', '-y', '--no-install-recommends', 'chromium'];
  if ((await run('apt-get', install, env)) !== 0 || !existsSync(CHROMIUM)) {
    stop('Chromium could not be installed: apt-get install --no-install-recommends chromium');
  }
}
