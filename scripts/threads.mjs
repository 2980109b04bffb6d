// Puts what runs in threads of its own into files beside what the app was built to.
import { join } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from './lib/run.mjs';

await build({
  entryPoints: ['src/server/reader-thread.ts', 'src/db/file-thread.ts'].map((one) =>
    join(ROOT, one),
  ),
  outdir: join(ROOT, '.next/threads'),
  entryNames: '[name]',
  outExtension: { '.js': '.mjs' },
  tsconfig: join(ROOT, 'tsconfig.json'),
  bundle: true,
  minify: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: ['better-sqlite3'],
  logLevel: 'warning',
  // What is written as a CommonJS module asks for others as one.
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
});
