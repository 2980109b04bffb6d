import { existsSync } from 'node:fs';
import { run, stop } from './run.mjs';

/** Debian's Chromium without a window, which starts and draws in two thirds of the time; or the one with. */
const BROWSERS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Where the browser for the tests is, the leaner one first; undefined when there is none. */
export function browserPath() {
  return BROWSERS.find((path) => existsSync(path));
}

/** Debian's Chromium for the browser tests; installed when it is missing and that is allowed. */
export async function ensureChromium() {
  if (existsSync(BROWSERS[0])) return;
  if (process.getuid?.() === 0) {
    console.log('Installing Chromium.');
    const wait = ['-o', 'DPkg::Lock::Timeout=300', '-qq'];
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    await run('apt-get', [...wait, 'update'], env);
    const install = [
      ...wait,
      'install',
      '-y',
      '--no-install-recommends',
      'chromium-headless-shell',
    ];
    await run('apt-get', install, env);
  }
  if (browserPath()) return;
  stop(
    'The browser tests need Chromium: apt-get install --no-install-recommends chromium-headless-shell',
  );
}
