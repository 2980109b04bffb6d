import type * as z from 'zod/mini';
import { openFamily, readFamily } from '../../family';
import type { Issue } from '../../issue';
import { checkOutline, itemsOf } from '../../program';
import { close, expand, type ClosedRecipe, type Recipe } from '../../recipe';
import type { Bundle } from './bundle';
import type { bundleSchema } from './bundle-schema';
import { readStudents } from './read-students';

/** Closes every recipe, and sees that it can be played, and that what is named is there, once.
 * @param issues takes `bundle-part` with its place, and issues of recipes, families and outlines */
export function closeBundle(read: z.output<typeof bundleSchema>, issues: Issue[]): Bundle {
  for (const part of ['materials', 'exercises', 'programs'] as const) {
    const seen = new Set<string>();
    read[part].forEach(({ id, name }, index) => {
      if (seen.has(id)) issues.push(missing(part, name, id, [index, 'id']));
      seen.add(id);
    });
  }
  const closeAt = (recipe: Recipe, path: readonly (string | number)[]): ClosedRecipe | null => {
    const made = close(recipe);
    const played = made.ok ? expand(made.value) : made;
    if (played.ok && made.ok) return made.value;
    if (!played.ok)
      issues.push(...played.issues.map((one) => ({ ...one, path: [...path, ...one.path] })));
    return null;
  };
  const exercises = read.exercises.flatMap(({ recipe, ...one }, index) => {
    const made = closeAt(recipe, ['exercises', index]);
    return made ? [{ ...one, recipe: made }] : [];
  });
  const families = read.families.flatMap(({ name, family }, index) => {
    const made = readFamily(family);
    const opened = made.ok ? openFamily(made.value) : made;
    if (made.ok && opened.ok) return [{ name, family: made.value }];
    const path = ['families', index];
    if (!opened.ok) issues.push(...opened.issues.map((one) => ({ ...one, path })));
    return [];
  });
  const ids = new Set(exercises.map(({ id }) => id));
  for (const [index, { name, gone }] of read.programs.entries()) {
    for (const { exercise } of gone.filter((one) => !ids.has(one.exercise))) {
      issues.push(missing('programs', name, exercise, [index, 'gone']));
    }
  }
  const programs = read.programs.map(({ versions, ...program }, index) => ({
    ...program,
    versions: versions.map(({ version, outline, recipes }, at) => {
      const path = ['programs', index, 'versions', at];
      if (version <= (versions[at - 1]?.version ?? 0)) {
        issues.push(missing('programs', program.name, String(version), path.slice(1)));
      }
      const checked = checkOutline(outline);
      if (!checked.ok) issues.push(...checked.issues);
      const own: Record<string, ClosedRecipe> = {};
      for (const item of itemsOf(outline)) {
        const recipe = recipes[item.id];
        const made = recipe && closeAt(recipe, [...path, item.id]);
        if (made) own[item.id] = made;
        if (!recipe) {
          const place = [...path.slice(1), item.id];
          issues.push(missing('programs', program.name, item.name, place));
        }
      }
      return { version, outline, recipes: own };
    }),
  }));
  const students = readStudents(read.students, programs, issues);
  const { materials, settings } = read;
  return { materials, exercises, families, programs, students, settings };
}

/** What a part names that the bundle has not, or has twice. */
function missing(
  part: 'materials' | 'exercises' | 'programs',
  name: string,
  at: string,
  path: readonly (string | number)[],
): Issue {
  const misfits = [{ at, problem: 'kind' as const }];
  return { code: 'bundle-part', path: [part, ...path], part, name, misfits };
}
