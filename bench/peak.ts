import { buildSync } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Peak resident memory of a process of its own that does nothing else, in MB: differences of the heap
 * mean nothing after a collection.
 * @param file in this folder, without its ending; run with `count` as its argument */
export function peakOf(file: string, count: number): number {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-peak-'));
  const outfile = join(folder, 'peak.mjs');
  buildSync({
    entryPoints: [join('bench', `${file}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    alias: { '@': './src' },
    outfile,
  });
  const run = spawnSync(process.execPath, [outfile, String(count)], { encoding: 'utf8' });
  rmSync(folder, { recursive: true, force: true });
  if (run.status !== 0) throw new Error(run.stderr);
  return Number(run.stdout.trim());
}
