// Everything that has to hold: lint, format, types, unit tests, then the app in a real browser.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebian } from './lib/debian.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { bin, run } from './lib/run.mjs';

const reports = mkdtempSync(join(tmpdir(), 'mivvel-reports-'));
const total = { passed: 0, failed: 0 };

async function step(name, command, args, env) {
  console.log(`\n— ${name}`);
  const code = await run(command, args, env);
  if (code !== 0) console.log(`— ${name} failed`);
  return code === 0;
}

/** A step that passes or fails as a whole. */
async function check(...step_) {
  total[(await step(...step_)) ? 'passed' : 'failed'] += 1;
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

async function unitTests() {
  const fine = await step('unit tests', bin('vitest'), [
    'run',
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${join(reports, 'unit.json')}`,
  ]);
  const unit = readReport('unit.json');
  add(fine, unit?.numPassedTests, unit?.numFailedTests);
}

// The build checks the types again; what was found here it need not find anew.
const TYPES_FOUND = join('.next', 'cache', '.tsbuildinfo');

// One compiles, the other fetches.
await Promise.all([ensureInstalled(), ensureDebian()]);
// Each of these works mostly on one core: two at a time, in rows that take about equally long.
await Promise.all([
  (async () => {
    await check('lint', bin('eslint'), ['.', '--max-warnings', '0']);
    await check('nothing unused', bin('knip'), ['--no-progress', '--no-config-hints']);
    await check('types of the core', bin('tsc'), ['--noEmit', '-p', 'src/core']);
  })(),
  (async () => {
    await step('route types', bin('next'), ['typegen']);
    await check('types', bin('tsc'), ['--noEmit', '--tsBuildInfoFile', TYPES_FOUND]);
    await check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  })(),
]);
await Promise.all([unitTests(), ensureBuilt()]);

const browserFine = await step('browser tests', bin('playwright'), ['test'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json'),
});
const browser = readReport('browser.json')?.stats;
add(browserFine, (browser?.expected ?? 0) + (browser?.flaky ?? 0), browser?.unexpected);

rmSync(reports, { recursive: true, force: true });
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
