// Puts what reads files in a thread of its own into one file, beside what the app was built to.
import { join } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from './lib/run.mjs';

await build({
  entryPoints: [join(ROOT, 'src/server/reader-thread.ts')],
  outfile: join(ROOT, '.next/reader-thread.mjs'),
  tsconfig: join(ROOT, 'tsconfig.json'),
  bundle: true,
  minify: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  // What is written as a CommonJS module asks for others as one.
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
});
