import { existsSync } from 'node:fs';
import { run, stop } from './run.mjs';

/** Debian's Chromium without a window, which starts and draws in two thirds of the time; or the one with. */
const BROWSERS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** What the tests need of Debian, by the command that tells whether it is there. */
const PACKAGES = {
  [BROWSERS[0]]: 'chromium-headless-shell',
  '/usr/bin/pdftotext': 'poppler-utils',
};

/** Where the browser for the tests is, the leaner one first; undefined when there is none. */
export function browserPath() {
  return BROWSERS.find((path) => existsSync(path));
}

/** Debian's Chromium for the browser tests, and what reads PDF files back; installed when one is missing and that is
 * allowed. */
export async function ensureDebian() {
  const missing = Object.entries(PACKAGES).flatMap(([path, name]) =>
    existsSync(path) ? [] : name,
  );
  if (missing.length === 0) return;
  if (process.getuid?.() === 0) {
    console.log(`Installing ${missing.join(' and ')}.`);
    const wait = ['-o', 'DPkg::Lock::Timeout=300', '-qq'];
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    await run('apt-get', [...wait, 'update'], env);
    await run('apt-get', [...wait, 'install', '-y', '--no-install-recommends', ...missing], env);
  }
  if (browserPath() && existsSync('/usr/bin/pdftotext')) return;
  stop(`The tests need more: apt-get install --no-install-recommends ${missing.join(' ')}`);
}
