import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flowFamily } from '../../family';
import { must } from '../../issue';
import { USUAL_COURSE } from '../../ladder';
import { SHIPPED } from '../../materials';
import { EMPTY_OUTLINE, withItem } from '../../program';
import { blankRecipe, close, expand, recipeHash, toggleOstinato } from '../../recipe';
import { RECIPES } from '../../recipe/recipes.fixture';
import type { ItemId } from '../../id';
import { readBundle, writeBundle, type Bundled } from '.';
import { bundleJsonSchema } from './json-schema';

const recipe = must(close(toggleOstinato(blankRecipe(), 'rock-8ths')));
const itemId = '01m55yg0qaq5ctj8s2sjrq' as ItemId;
const made = { id: itemId, exerciseId: itemId as never, hash: recipeHash(recipe), name: 'Rock' };
const program = {
  name: 'Pit grooves',
  outline: withItem(EMPTY_OUTLINE, made, USUAL_COURSE),
  recipes: { [itemId]: recipe },
};

const codes = (text: string) => {
  const read = readBundle(text);
  return read.ok ? [] : read.issues.map(({ code }) => code);
};

describe('readBundle', () => {
  it('gives back what was written: materials, exercises and programs', () => {
    const materials = SHIPPED.slice(0, 40);
    const bundled = { materials, exercises: [{ name: 'Rock', recipe }], programs: [program] };
    const read = must(readBundle(writeBundle(bundled)));
    expect(read.exercises).toEqual(bundled.exercises);
    expect(read.programs).toEqual([program]);
    expect(read.materials.map(({ id, held }) => ({ id, ...held }))).toEqual(
      materials.map(({ id, kind, content }) => ({ id, kind, content })),
    );
  });

  it('gives back families, and opens a bundle from before there were any', () => {
    const families = [{ name: 'Nine flows', family: flowFamily() }];
    expect(must(readBundle(writeBundle({ families }))).families).toEqual(families);
    const { families: _, ...first } = JSON.parse(writeBundle({ programs: [program] })) as object & {
      families: unknown;
    };
    const opened = must(readBundle(JSON.stringify({ ...first, version: 1 })));
    expect(opened).toMatchObject({ families: [], programs: [program] });
  });

  it('loses nothing of any exercise', () => {
    fc.assert(
      fc.property(fc.array(RECIPES, { maxLength: 4 }), (recipes) => {
        const exercises = recipes
          .filter((one) => expand(one).ok)
          .map((one, index) => ({ name: `Exercise ${index}`, recipe: one }));
        const bundled: Bundled = { exercises };
        const read = must(readBundle(writeBundle(bundled)));
        expect(read.exercises.map((one) => recipeHash(one.recipe))).toEqual(
          exercises.map((one) => recipeHash(one.recipe)),
        );
        expect(writeBundle(read as never)).toBe(writeBundle(bundled));
      }),
      { numRuns: 100 },
    );
  });

  it('says what is wrong with a file, and where', () => {
    const text = writeBundle({ programs: [program] });
    expect(codes('')).toEqual(['file-unreadable']);
    expect(readBundle(text.slice(0, 300))).toMatchObject({
      issues: [{ code: 'file-unreadable', line: text.slice(0, 300).split('\n').length }],
    });
    expect(codes('{"a": 1}')).toEqual(['file-other']);
    expect(codes('null')).toEqual(['file-other']);
    expect(codes(text.replace('"version": 2', '"version": 3'))).toEqual(['bundle-newer']);
    expect(codes('['.repeat(100_000))).toEqual(['file-other']);
    expect(codes(' '.repeat(20_000_001))).toEqual(['file-large']);
    const damaged = text.replace('"name": "Pit grooves"', `"name": "${'x'.repeat(90)}"`);
    expect(readBundle(damaged)).toMatchObject({
      issues: [{ code: 'bundle-part', part: 'programs', misfits: [{ problem: 'long' }] }],
    });
    const without = writeBundle({ programs: [{ ...program, recipes: {} }] });
    expect(readBundle(without)).toMatchObject({
      issues: [{ code: 'bundle-part', part: 'programs', name: 'Pit grooves' }],
    });
  });

  it('an exercise that cannot be played is not let in', () => {
    const silent = { name: 'Silent', recipe: { ...recipe, over: [], play: null } };
    expect(readBundle(writeBundle({ exercises: [silent] })).ok).toBe(false);
  });

  it('never breaks on a file that is damaged somewhere', () => {
    const text = writeBundle({ exercises: [{ name: 'Rock', recipe }], programs: [program] });
    fc.assert(
      fc.property(
        fc.nat(text.length - 1),
        fc.nat(60),
        fc.string({ maxLength: 20 }),
        (from, length, put) => {
          const read = readBundle(text.slice(0, from) + put + text.slice(from + length));
          if (!read.ok) expect(read.issues.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('the schema of bundles', () => {
  it('is written down for others as it is', () => {
    const written: unknown = JSON.parse(readFileSync('docs/bundle.schema.json', 'utf8'));
    expect(written, 'tsx scripts/bundle-schema.ts writes it anew').toEqual(bundleJsonSchema());
  });
});
