import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Makes the files that tests start from, once: a demo studio beside one that tests share, and no studio at all. */
export default function makeFiles(): void {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-files-'));
  execFileSync('node_modules/.bin/tsx', ['e2e/write-files.ts', folder]);
  if (!existsSync(join(folder, 'demo.sqlite'))) throw new Error('no demo file was made');
  process.env.MIVVEL_FILES = folder;
}
