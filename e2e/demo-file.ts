import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Makes the demo studio once; tests that want it start from a copy. */
export default function makeDemoFile(): void {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-demo-'));
  execFileSync('node_modules/.bin/tsx', ['scripts/seed.ts'], {
    env: { ...process.env, MIVVEL_DATA: folder },
  });
  if (!existsSync(join(folder, 'mivvel.sqlite'))) throw new Error('no demo file was made');
  process.env.MIVVEL_DEMO_FILE = join(folder, 'mivvel.sqlite');
}
