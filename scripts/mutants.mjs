// Changes the code in one small place at a time, and looks whether a test notices: of the files that are named, else
// of those that differ from the last commit, or of a sample of lines.
//   npm run mutants -- src/core/ladder/kernel.ts
//   npm run mutants -- --sample 70 --seed 1
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { bin, ROOT, run, stop } from './lib/run.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { sample: { type: 'string' }, seed: { type: 'string', default: '1' } },
});

/** What is worth a mutant: algorithms, use cases and the logic of screens. */
const IS_CODE = /^src\/(core|server|ui)\/.*\.ts$/;
const IS_NOT =
  /\.(test|fixture)\.ts$|\/index\.ts$|\/data(-[a-z-]+)?\.ts$|\/oracle\/|\/demo\/|\/before\/|^src\/ui\/.*\/use-/;

function git(...args) {
  const out = execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' });
  return out.split('\n').filter((file) => IS_CODE.test(file) && !IS_NOT.test(file));
}

/** Numbers from 0 to 1 that are the same for a seed (a linear congruential generator; Numerical Recipes). */
function drawn(seed) {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/** Lines in which something happens, as many as asked for, each of another file where there are enough. */
function sampled(count, seed) {
  const random = drawn(seed);
  const files = git('ls-files', 'src');
  const places = [];
  while (places.length < count) {
    const [file] = files.splice(Math.floor(random() * files.length), 1);
    if (!file) break;
    const lines = readFileSync(`${ROOT}/${file}`, 'utf8').split('\n');
    const able = lines.flatMap((line, index) =>
      /[<>=!?]=|&&|\|\||[+*/-] |\breturn\b|\bif\b|\? /.test(line) &&
      !/^\s*(\*|\/\/|\/\*|import|export type|type )/.test(line)
        ? [index + 1]
        : [],
    );
    const line = able[Math.floor(random() * able.length)];
    if (line) places.push(`${file}:${line}-${line}`);
  }
  return places;
}

const places = values.sample
  ? sampled(Number(values.sample), Number(values.seed))
  : positionals.length > 0
    ? positionals
    : git('diff', '--name-only', 'HEAD');
if (places.length === 0) stop('Nothing has changed; name files, or --sample 70.');
console.log(places.join('\n'));
process.exit(
  await run(bin('stryker'), ['run', '--mutate', places.join(',')], { MIVVEL_MUTANTS: '1' }),
);
