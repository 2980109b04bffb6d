import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run, stop } from './run.mjs';

/** Everything that a build depends on. */
const SOURCES = ['src', 'public', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'].concat([
  'package-lock.json',
  'scripts/lib/compiled-messages.mjs',
  'scripts/threads.mjs',
  'scripts/whole-scripts.mjs',
]);

function filesOf(path) {
  const entries = readdirSync(join(ROOT, path), { withFileTypes: true });
  return entries.flatMap((entry) => {
    const inner = `${path}/${entry.name}`;
    return entry.isDirectory() ? filesOf(inner) : [inner];
  });
}

function sourceHash() {
  const hash = createHash('sha256').update(process.version);
  const files = SOURCES.flatMap((path) => (path.includes('.') ? [path] : filesOf(path)));
  for (const file of files.filter((name) => !name.includes('.test.')).sort()) {
    hash.update(file).update(readFileSync(join(ROOT, file)));
  }
  return hash.digest('hex');
}

/** Builds the app, unless what is built came from the same sources. */
export async function ensureBuilt() {
  const mark = join(ROOT, '.next', 'mivvel-built');
  const hash = sourceHash();
  if (existsSync(mark) && readFileSync(mark, 'utf8') === hash) return;
  console.log('Building; this takes about half a minute.');
  // Types are checked by the tests, beside other things; here they would only keep everybody waiting.
  const env = { MIVVEL_TYPES: 'elsewhere' };
  const build = () => run('npm', ['run', '--silent', 'build'], env);
  if ((await build()) !== 0) {
    // A failed build can stay in the cache of the bundler and fail again for no other reason.
    rmSync(join(ROOT, '.next'), { recursive: true, force: true });
    if ((await build()) !== 0) stop('The build failed; see above.');
  }
  writeFileSync(mark, hash);
}
