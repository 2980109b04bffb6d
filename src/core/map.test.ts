import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = import.meta.dirname;

/** The folders of the map, group by group. */
const GROUPS = readFileSync(join(ROOT, 'README.md'), 'utf8')
  .split(/^## /m)
  .slice(1)
  .map((group) => [...group.matchAll(/^\| `([a-z]+)` /gm)].map(([, name = '']) => name));

const FOLDERS = readdirSync(ROOT, { withFileTypes: true }).flatMap((entry) =>
  entry.isDirectory() ? [entry.name] : [],
);

function filesOf(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesOf(path);
    return entry.name.endsWith('.ts') && !/\.(test|fixture)\./.test(entry.name) ? [path] : [];
  });
}

/** Folders that a folder imports from. */
function leansOn(folder: string): readonly string[] {
  const found = filesOf(join(ROOT, folder)).flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/from '(?:\.\.\/)+([a-z]+)'/g)].map(
      ([, name = '']) => name,
    ),
  );
  return [...new Set(found)].filter((name) => name !== folder && FOLDERS.includes(name));
}

describe('the map of the core', () => {
  it('has every folder, once', () => {
    expect(GROUPS.flat().sort()).toEqual([...FOLDERS].sort());
  });

  it.each(GROUPS.flatMap((group, index) => group.map((name) => [name, index] as const)))(
    '%s leans on groups above it alone',
    (name, index) => {
      const above = GROUPS.slice(0, index).flat();
      expect(leansOn(name).filter((one) => !above.includes(one))).toEqual([]);
    },
  );
});
