import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '.');

function filesOf(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesOf(path);
    return /\.tsx?$/.test(path) && !/\.(test|fixture)\.tsx?$/.test(path) ? [path] : [];
  });
}

/** The file that an import means; null for a package. */
function fileOf(from: string, name: string): string | null {
  const path = name.startsWith('@/')
    ? join(ROOT, name.slice(2))
    : name.startsWith('.')
      ? join(dirname(from), name)
      : null;
  if (path === null) return null;
  const tried = [path, `${path}.ts`, `${path}.tsx`, join(path, 'index.ts')];
  return tried.find((one) => existsSync(one) && statSync(one).isFile()) ?? null;
}

/** Every file with those it imports, types too. */
const IMPORTS: ReadonlyMap<string, readonly string[]> = new Map(
  filesOf(ROOT).map((file) => {
    const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'), true, true);
    return [file, importedFiles.flatMap(({ fileName }) => fileOf(file, fileName) ?? [])];
  }),
);

/** The first way from a file back to itself, if there is one; files are left once they are known to be on none. */
function findCircle(): readonly string[] | null {
  const done = new Set<string>();
  const way: string[] = [];
  function walk(file: string): readonly string[] | null {
    const at = way.indexOf(file);
    if (at >= 0) return [...way.slice(at), file];
    if (done.has(file)) return null;
    way.push(file);
    for (const next of IMPORTS.get(file) ?? []) {
      const circle = walk(next);
      if (circle) return circle;
    }
    way.pop();
    done.add(file);
    return null;
  }
  for (const file of IMPORTS.keys()) {
    const circle = walk(file);
    if (circle) return circle.map((one) => relative(ROOT, one));
  }
  return null;
}

describe('imports', () => {
  it('are read from every file', () => {
    expect(IMPORTS.size).toBeGreaterThan(300);
    expect([...IMPORTS.values()].flat().length).toBeGreaterThan(1000);
  });

  it('go round nowhere, types included', () => {
    expect(findCircle()).toBeNull();
  });
});
