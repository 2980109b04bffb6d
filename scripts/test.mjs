// Everything that has to hold: lint, format, types, unit tests, then the app in a real browser. With the word
// `long`, samples are as large as they are meant, and the main roads are walked in other browsers, too.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebian } from './lib/debian.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { bin, run } from './lib/run.mjs';

const isLong = process.argv.includes('long');
const started = Date.now();
const reports = mkdtempSync(join(tmpdir(), 'mivvel-reports-'));
const total = { passed: 0, failed: 0 };

/** What a run finds out about a file holds until the file changes. */
const KEPT = join('node_modules', '.cache');

/** Runs one job. @returns whether it went well */
async function job(name, command, args, env) {
  const from = Date.now();
  const code = await run(command, args, env);
  const seconds = ((Date.now() - from) / 1000).toFixed(0);
  console.log(`— ${name}: ${code === 0 ? 'fine' : 'FAILED'}, ${seconds} s`);
  return code === 0;
}

/** A job that passes or fails as a whole. */
async function check(...job_) {
  total[(await job(...job_)) ? 'passed' : 'failed'] += 1;
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(join(reports, file), 'utf8'));
  } catch {
    return null;
  }
}

/** Adds a runner's own numbers; a runner that failed without any counts as one failure. */
function add(fine, passed = 0, failed = 0) {
  total.passed += passed;
  total.failed += fine ? failed : Math.max(1, failed);
}

/** Whether samples are as large as they are meant. */
const SAMPLES = isLong ? { MIVVEL_SAMPLES: 'long' } : {};

async function unitTests() {
  const report = `--outputFile.json=${join(reports, 'unit.json')}`;
  const args = ['run', '--reporter=dot', '--reporter=json', report];
  const fine = await job('unit tests', bin('vitest'), args, SAMPLES);
  const unit = readReport('unit.json');
  add(fine, unit?.numPassedTests, unit?.numFailedTests);
}

async function browserTests() {
  const env = { ...SAMPLES, PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json') };
  const fine = await job('browser tests', bin('playwright'), ['test'], env);
  const browser = readReport('browser.json')?.stats;
  add(fine, (browser?.expected ?? 0) + (browser?.flaky ?? 0), browser?.unexpected);
}

/** The main roads in the engines of tablets and phones, where they are installed. */
async function otherEngines() {
  const report = `--outputFile.json=${join(reports, 'engines.json')}`;
  const args = ['run', '--project', 'engines', '--reporter=verbose', '--reporter=json', report];
  const fine = await job('other engines', bin('vitest'), args, { MIVVEL_ENGINES: '1' });
  const found = readReport('engines.json');
  add(fine, found?.numPassedTests, found?.numFailedTests);
}

async function types(name, ...args) {
  const kept = join(KEPT, `${name.replaceAll(' ', '-')}.tsbuildinfo`);
  const keep = ['--incremental', '--tsBuildInfoFile', kept];
  await check(name, bin('tsc'), ['--noEmit', ...keep, ...args]);
}

// What is downloaded, compiled, checked and clicked through waits only for what it needs: the build and the
// checks begin when the packages are there, the browser when the build stands.
const debian = ensureDebian();
await ensureInstalled();
const built = ensureBuilt();
await Promise.all([
  Promise.all([built, debian]).then(browserTests),
  check('lint', bin('oxlint'), ['--deny-warnings'])
    .then(() => check('format', bin('oxfmt'), ['--check']))
    .then(() => check('nothing unused', bin('knip'), ['--no-progress', '--no-config-hints']))
    .then(() => types('types of the core', '-p', 'src/core'))
    // The build says what types its routes have.
    .then(() => built)
    .then(() => types('types'))
    // Reads PDF files with what Debian has.
    .then(() => debian)
    .then(unitTests),
]);
if (isLong) await otherEngines();

rmSync(reports, { recursive: true, force: true });
console.log(`\nAll of it took ${Math.round((Date.now() - started) / 1000)} s.`);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
