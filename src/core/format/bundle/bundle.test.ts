import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../../samples.fixture';
import { flowFamily } from '../../family';
import { must } from '../../issue';
import { FULL_KIT } from '../../kit';
import { USUAL_COURSE } from '../../ladder';
import { SHIPPED } from '../../materials';
import { EMPTY_OUTLINE, withItem } from '../../program';
import { blankRecipe, close, expand, recipeHash, toggleOstinato } from '../../recipe';
import { RECIPES } from '../../recipe/recipes.fixture';
import type { Day } from '../../calendar';
import type { ItemId } from '../../id';
import { readBundle, writeBundle, type Bundled, type BundledStudent } from '.';
import { bundleJsonSchema } from './json-schema';

const recipe = must(close(toggleOstinato(blankRecipe(), 'rock-8ths')));
const itemId = '01m55yg0qaq5ctj8s2sjrq' as ItemId;
const made = { id: itemId, exerciseId: itemId as never, hash: recipeHash(recipe), name: 'Rock' };
const version = {
  version: 1,
  outline: withItem(EMPTY_OUTLINE, made, USUAL_COURSE),
  recipes: { [itemId]: recipe },
};
const program = {
  ...{ id: 'autumn', name: 'Pit grooves', template: false, archived: false },
  ...{ versions: [version], gone: [] },
};
const exercise = { id: 'rock', name: 'Rock', archived: false, recipe };

const at = Date.UTC(2026, 9, 5, 17);
const stamp = { by: 'student', at, day: '2026-10-05' as Day, session: 's', hash: null } as const;
const lying = { given: 'g', item: itemId, about: null } as const;
const TRY = { bpm: 60, rung: 'bpm:60', verdict: 'shaky', bars: 8, seconds: 32 } as const;
const student: BundledStudent = {
  ...{ name: 'Ida', about: 'Fridays', kit: FULL_KIT, schedule: null },
  given: [
    {
      id: 'g',
      program: 'autumn',
      version: 1,
      givenAt: at,
      endedAt: null,
      starts: { [itemId]: 60 },
    },
  ],
  entries: [
    { ...stamp, ...lying, kind: 'try', id: 'e1', hash: made.hash, body: TRY },
    { ...stamp, ...lying, kind: 'broke', id: 'e2', about: 'e1', body: { beat: 3 } },
    {
      ...{ kind: 'note', id: 'e3', by: 'teacher', at, day: stamp.day, session: null, hash: null },
      ...{ given: null, item: null, about: null, body: { text: 'Slower' } },
    },
  ],
};

const codes = (text: string) => {
  const read = readBundle(text);
  return read.ok ? [] : read.issues.map(({ code }) => code);
};

describe('readBundle', () => {
  it('gives back what was written: materials, exercises and programs', () => {
    const materials = SHIPPED.slice(0, 40);
    const bundled = { materials, exercises: [exercise], programs: [program] };
    const read = must(readBundle(writeBundle(bundled)));
    expect(read.exercises).toEqual(bundled.exercises);
    expect(read.programs).toEqual([program]);
    expect(read.materials.map(({ id, held }) => ({ id, ...held }))).toEqual(
      materials.map(({ id, kind, content }) => ({ id, kind, content })),
    );
  });

  it('gives back families', () => {
    const families = [{ name: 'Nine flows', family: flowFamily() }];
    expect(must(readBundle(writeBundle({ families }))).families).toEqual(families);
  });

  it('gives back students with what they were given and their logs', () => {
    const bundled = { exercises: [exercise], programs: [program], students: [student] };
    expect(must(readBundle(writeBundle(bundled))).students).toEqual([student]);
  });

  it('opens bundles from before there were families, and from before there were students', () => {
    const { name, versions } = program;
    const second = {
      ...{ format: 'mivvel', version: 2, materials: [], exercises: [{ name: 'Rock', recipe }] },
      families: [{ name: 'Nine flows', family: flowFamily() }],
      programs: versions.map(({ outline, recipes }) => ({ name, outline, recipes })),
    };
    const opened = must(readBundle(JSON.stringify(second)));
    expect(opened).toMatchObject({
      exercises: [{ name: 'Rock', archived: false, recipe }],
      families: second.families,
      programs: [{ ...program, id: 'program 0' }],
      students: [],
    });
    const { families: _, ...first } = { ...second, version: 1 };
    const older = must(readBundle(JSON.stringify(first)));
    expect(older).toEqual({ ...opened, families: [] });
  });

  it.each<[string, Bundled, string]>([
    ['an exercise', { exercises: [exercise, exercise] }, 'exercises'],
    ['a program', { programs: [program, program] }, 'programs'],
    ['a version', { programs: [{ ...program, versions: [version, version] }] }, 'programs'],
  ])('%s that is there twice is not let in', (_, bundled, part) => {
    expect(readBundle(writeBundle(bundled))).toMatchObject({
      issues: [{ code: 'bundle-part', part }],
    });
  });

  it.each<[string, Partial<BundledStudent>, (string | number)[]]>([
    ['a program', { given: student.given.map((one) => ({ ...one, program: 'x' })) }, ['given', 0]],
    ['a version', { given: student.given.map((one) => ({ ...one, version: 2 })) }, ['given', 0]],
    ['a program twice', { given: [0, 1].flatMap(() => student.given) }, ['given', 1]],
    ['what a try is of', { given: [] }, ['entries', 0, 'item']],
    ['what an entry is about', { entries: student.entries.slice(1) }, ['entries', 0, 'about']],
    ['an entry twice', { entries: [0, 1].flatMap(() => student.entries) }, ['entries', 3, 'id']],
  ])('a student of whom %s is missing or wrong is not let in', (_, wrong, place) => {
    const students = [{ ...student, ...wrong }];
    const read = readBundle(writeBundle({ programs: [program], students }));
    const [issue] = read.ok ? [] : read.issues;
    expect(issue).toMatchObject({ code: 'bundle-part', part: 'students', name: 'Ida' });
    expect(issue?.path.slice(0, place.length + 2)).toEqual(['students', 0, ...place]);
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
      { numRuns: samples(100) },
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
    expect(codes(text.replace('"version": 3', '"version": 4'))).toEqual(['bundle-newer']);
    expect(codes('['.repeat(100_000))).toEqual(['file-other']);
    expect(codes(' '.repeat(20_000_001))).toEqual(['file-large']);
    const damaged = text.replace('"name": "Pit grooves"', `"name": "${'x'.repeat(90)}"`);
    expect(readBundle(damaged)).toMatchObject({
      issues: [{ code: 'bundle-part', part: 'programs', misfits: [{ problem: 'long' }] }],
    });
    const without = writeBundle({
      programs: [{ ...program, versions: [{ ...version, recipes: {} }] }],
    });
    expect(readBundle(without)).toMatchObject({
      issues: [{ code: 'bundle-part', part: 'programs', name: 'Pit grooves' }],
    });
  });

  it('an exercise that cannot be played is not let in', () => {
    const silent = { name: 'Silent', recipe: { ...recipe, over: [], play: null } };
    expect(readBundle(writeBundle({ exercises: [silent] })).ok).toBe(false);
  });

  it('never breaks on a file that is damaged somewhere', () => {
    const text = writeBundle({ exercises: [exercise], programs: [program], students: [student] });
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
      { numRuns: samples(2000) },
    );
  });
});

describe('the schema of bundles', () => {
  it('is written down for others as it is', () => {
    const written: unknown = JSON.parse(readFileSync('docs/bundle.schema.json', 'utf8'));
    expect(written, 'tsx scripts/bundle-schema.ts writes it anew').toEqual(bundleJsonSchema());
  });
});
