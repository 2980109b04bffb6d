// Tells browsers to compile what the app was built to as a whole. Its modules are functions in a list; a browser that
// compiles each when it is first called keeps none of them, and does it again at every page that is opened.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib/run.mjs';

/** A hint that engines which do not know it read past. */
const HINT = '//# allFunctionsCalledOnLoad\n';

const folder = join(ROOT, '.next/static/chunks');
for (const name of readdirSync(folder).filter((one) => one.endsWith('.js'))) {
  const file = join(folder, name);
  const script = readFileSync(file, 'utf8');
  if (!script.startsWith(HINT)) writeFileSync(file, HINT + script);
}
