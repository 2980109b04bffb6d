import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { parseSync, Visitor } from 'oxc-parser';
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

/** What a file asks for: imports, exports of others' things, and imports where they are used. */
function importsOf(file: string): readonly string[] {
  const found: string[] = [];
  function note(source: { value?: unknown } | null) {
    if (typeof source?.value === 'string') found.push(source.value);
  }
  new Visitor({
    ImportDeclaration: ({ source }) => note(source),
    ExportNamedDeclaration: ({ source }) => note(source),
    ExportAllDeclaration: ({ source }) => note(source),
    ImportExpression: ({ source }) => note(source as { value?: unknown }),
    TSImportType: ({ source }) => note(source),
  }).visit(parseSync(file, readFileSync(file, 'utf8')).program);
  return found;
}

/** Every file with those it imports, types too. */
const IMPORTS: ReadonlyMap<string, readonly string[]> = new Map(
  filesOf(ROOT).map((file) => {
    return [file, importsOf(file).flatMap((name) => fileOf(file, name) ?? [])];
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
