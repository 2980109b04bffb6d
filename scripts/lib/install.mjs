import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { ROOT, run, stop } from './run.mjs';

const ADDON = 'node_modules/better-sqlite3/build/Release/better_sqlite3.node';

/** Where this user's machine keeps the database addon once it is built: compiling takes minutes. */
const CACHE = join(process.env.XDG_CACHE_HOME || join(homedir(), '.cache'), 'mivvel', 'addons');

function addonArchive() {
  const lock = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'));
  const { version } = lock.packages['node_modules/better-sqlite3'];
  const { modules } = process.versions;
  return `better-sqlite3-v${version}-node-v${modules}-${process.platform}-${process.arch}.tar.gz`;
}

/** Installs the packages of the lock file, unless they are there already. */
export async function ensureInstalled() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
  const mark = join(ROOT, 'node_modules', '.mivvel-installed');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  console.log('Installing packages; the first time this compiles SQLite and takes some minutes.');
  const archive = join(CACHE, addonArchive());
  const env = { JOBS: 'max' };
  if (existsSync(archive)) env.npm_config_better_sqlite3_local_prebuilds = CACHE;
  if ((await run('npm', ['ci'], env)) !== 0) {
    stop('Installing failed. Mivvel needs Node 20, npm, python3, make and g++; see above.');
  }
  if (!existsSync(archive) && existsSync(join(ROOT, ADDON))) await keepAddon(archive);
  writeFileSync(mark, lock);
}

async function keepAddon(archive) {
  mkdirSync(CACHE, { recursive: true });
  const folder = join(ROOT, 'node_modules/better-sqlite3');
  const part = `${archive}.${process.pid}`;
  const packed = await run('tar', [
    '-czf',
    part,
    '-C',
    folder,
    'build/Release/better_sqlite3.node',
  ]);
  if (packed === 0) renameSync(part, archive);
}
