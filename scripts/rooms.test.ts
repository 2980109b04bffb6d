import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { refusals } from './lib/rooms.mjs';

describe('the rooms', () => {
  it.each([
    ['src/core/time/x.ts', '@/db'],
    ['src/core/time/x.ts', '../../db'],
    ['src/core/time/x.ts', 'react'],
    ['src/core/time/x.ts', '../kit/limb'],
    ['src/core/time/x.ts', 'zod'],
    ['src/core/time/x.ts', './limb-schema'],
    ['src/db/x.ts', '@/server/viewer'],
    ['src/server/x.ts', 'drizzle-orm'],
    ['src/server/x.ts', '@/db/connection'],
    ['src/ui/x.tsx', '@/server/viewer'],
    ['src/ui/x.tsx', '@/core/time/tick'],
    ['src/app/x.tsx', '@/db'],
    ['src/audio/x.ts', '@/ui/marks'],
    ['src/workers/x.ts', '@/server/viewer'],
  ])('%s may not import %s', (file, asked) => {
    expect(refusals(file, asked)).toHaveLength(1);
  });

  it.each([
    ['src/core/kit/x.ts', '../time'],
    ['src/core/log/x.ts', './entry-schema'],
    ['src/core/time/x.test.ts', 'node:fs'],
    ['src/db/x.ts', '@/core/time'],
    ['src/server/x.ts', '@/db'],
    ['src/app/x.tsx', '@/server/viewer'],
    ['src/ui/x.tsx', '@/audio'],
    ['scripts/x.ts', '@/db/connection'],
  ])('%s may import %s', (file, asked) => {
    expect(refusals(file, asked)).toEqual([]);
  });

  it('asks for the type of a schema wherever it wants', () => {
    expect(refusals('src/core/time/x.ts', './limb-schema', true)).toEqual([]);
  });
});

describe('the linter', () => {
  const REFUSED = [
    "import { db } from '@/db';\nexport const x = db;",
    "export { db } from '@/db';",
    "export * from '@/db';",
    'export const x = Math.random();',
    'export const x = Date.now();',
    'export const x = new Date();',
    'export const x = window.name;',
  ];
  const TAKEN = ['export const x = new Date(0);', 'export const x = (window: number) => window;'];

  /** What the linter says of files of the core, in order, under the rules of the house. */
  function said(files: readonly string[]): number[] {
    const folder = mkdtempSync(join(tmpdir(), 'mivvel-lint-'));
    mkdirSync(join(folder, 'src/core/time'), { recursive: true });
    files.forEach((code, i) => writeFileSync(join(folder, `src/core/time/${i}.ts`), code));
    const args = ['node_modules/oxlint/bin/oxlint', '-c', '.oxlintrc.json', '-f', 'unix', folder];
    const { stdout } = spawnSync(process.execPath, args, { encoding: 'utf8' });
    rmSync(folder, { recursive: true });
    const lines = stdout.split('\n').filter((line) => line.includes('rooms('));
    return files.map((_, i) => lines.filter((line) => line.includes(`time/${i}.ts:`)).length);
  }

  it('keeps the core apart and pure', () => {
    expect(said([...REFUSED, ...TAKEN])).toEqual([...REFUSED.map(() => 1), ...TAKEN.map(() => 0)]);
  });
});
