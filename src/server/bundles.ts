import { randomBytes } from 'node:crypto';
import type { Family } from '@/core/family';
import { writeBundle, type Bundle } from '@/core/format';
import { ok, type Result } from '@/core/issue';
import { copyOutline, itemsOf } from '@/core/program';
import { recipeHash, type ClosedRecipe } from '@/core/recipe';
import {
  NOTHING_IMPORTED,
  type BundleSummary,
  type ExerciseId,
  type FamilyId,
  type Imported,
  type ItemId,
  type MaterialId,
  type ProgramId,
} from '@/core/studio';
import type { Teacher } from './authority';
import { newId } from './context';
import { archiveExercise } from './exercises';
import { archiveFamily, saveFamily } from './families';
import { archiveMaterial, saveMaterial } from './materials';
import { archiveProgram, getProgram } from './programs';
import { takeBackTries } from './log-tables';
import { archiveStudent } from './rosters';

/** Everything that the studio made and that belongs to nobody, as a bundle: its own materials, exercises,
 * families and programs. Students and their logs stay here. */
export function exportStudio(me: Teacher): Result<string> {
  const programs = me.store.programs.list().flatMap(({ id }) => {
    const program = getProgram(me, id);
    return program.ok ? [program.value] : [];
  });
  const materials = me.store.materials.list().filter(({ archived }) => !archived);
  const families = me.store.families.list().flatMap(({ id }) => me.store.families.find(id) ?? []);
  return ok(writeBundle({ materials, exercises: me.store.exercises.list(), families, programs }));
}

/** Takes a bundle in, whole or not at all. Everything gets ids of its own, so that nothing that is here changes; an
 * exercise that the studio has by the same name, and that plays the same, is not taken twice.
 * @returns what came new */
export function importBundle(me: Teacher, bundle: Bundle): Result<Imported> {
  return me.store.together(() => {
    const ids = new Map<string, MaterialId>();
    for (const { id, name, held, trains, meter } of bundle.materials) {
      const input = { id: null, kind: held.kind, name, trains, meter };
      const saved = saveMaterial(me, { ...input, content: held.content });
      if (!saved.ok) return saved;
      ids.set(id, saved.value.id);
    }
    const known = new Map(me.store.exercises.names().map((one) => [keyOf(one), one.id]));
    const exercises: ExerciseId[] = [];
    const exerciseOf = (name: string, recipe: ClosedRecipe): ExerciseId => {
      const hash = recipeHash(recipe);
      const found = known.get(keyOf({ name, hash }));
      if (found) return found;
      const id = newId<'exercise'>(me);
      me.store.exercises.insert({ id, name, recipe, hash, updatedAt: me.now() });
      known.set(keyOf({ name, hash }), id);
      exercises.push(id);
      return id;
    };
    for (const { name, recipe } of bundle.exercises) exerciseOf(name, renamed(recipe, ids));
    const families: FamilyId[] = [];
    for (const { name, family } of bundle.families) {
      const saved = saveFamily(me, { id: null, name, family: renamed(family, ids) });
      if (!saved.ok) return saved;
      families.push(saved.value.id);
    }
    const programs = bundle.programs.map(({ name, outline, recipes }): ProgramId => {
      const copied = copyOutline(outline, me.now(), () => randomBytes(12));
      const before = itemsOf(outline);
      const own: Record<ItemId, ClosedRecipe> = {};
      const places = new Map<ItemId, { exerciseId: ExerciseId; hash: string }>();
      itemsOf(copied).forEach((item, index) => {
        const written = recipes[before[index]?.id ?? ''];
        if (!written) return;
        const recipe = renamed(written, ids);
        own[item.id] = recipe;
        const exerciseId = exerciseOf(item.name, recipe);
        places.set(item.id, { exerciseId, hash: recipeHash(recipe) });
      });
      const sections = copied.sections.map((section) => ({
        ...section,
        items: section.items.map((item) => ({ ...item, ...places.get(item.id) })),
      }));
      const id = newId<'program'>(me);
      me.store.programs.insert({ id, name, createdAt: me.now() });
      const content = { version: 1, revision: 1, outline: { sections }, recipes: own };
      me.store.programs.putContent(id, me.now(), content);
      return id;
    });
    return ok({ ...NOTHING_IMPORTED, materials: [...ids.values()], exercises, families, programs });
  });
}

const keyOf = ({ name, hash }: { readonly name: string; readonly hash: string }) =>
  `${hash} ${name}`;

/** A recipe or a family whose ingredients name the materials that came with it by their ids here. */
function renamed<Made extends ClosedRecipe | Family>(
  recipe: Made,
  ids: ReadonlyMap<string, MaterialId>,
): Made {
  if (ids.size === 0) return recipe;
  const walk = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(walk);
    if (typeof value !== 'object' || value === null) return value;
    const inner = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, walk(one)]));
    const { id, content } = inner;
    const here = typeof id === 'string' && content !== undefined ? ids.get(id) : undefined;
    return here === undefined ? inner : { ...inner, id: here, version: 1 };
  };
  return walk(recipe) as Made;
}

/** Takes out what came with a file, or puts it back.
 * @returns issue `not-found` for what the studio has not; then nothing is changed */
export function archiveImported(
  me: Teacher,
  { people, materials, exercises, families, programs, tries }: Imported,
  archived: boolean,
): Result<null> {
  return me.store.together(() => {
    const done = [
      ...tries.map(
        ({ student, ids }) =>
          () =>
            takeBackTries(me, student, ids, archived),
      ),
      ...people.map((id) => () => archiveStudent(me, id, archived)),
      ...programs.map((id) => () => archiveProgram(me, id, archived)),
      ...families.map((id) => () => archiveFamily(me, id, archived)),
      ...exercises.map((id) => () => archiveExercise(me, id, archived)),
      ...materials.map((id) => () => archiveMaterial(me, id, archived)),
    ];
    for (const archive of done) {
      const one = archive();
      if (!one.ok) return one;
    }
    return ok(null);
  });
}

export function lookIntoBundle(me: Teacher, bundle: Bundle): Result<BundleSummary> {
  const here = new Set(me.store.exercises.names().map(keyOf));
  const isHere = ({ name, recipe }: Bundle['exercises'][number]) =>
    here.has(keyOf({ name, hash: recipeHash(recipe) }));
  const inPrograms = bundle.programs.flatMap(({ outline, recipes }) =>
    itemsOf(outline).flatMap(({ id, name }) => {
      const recipe = recipes[id];
      return recipe ? [{ name, recipe }] : [];
    }),
  );
  const all = new Map(
    [...bundle.exercises, ...inPrograms].map((one) => [
      keyOf({ name: one.name, hash: recipeHash(one.recipe) }),
      one,
    ]),
  );
  const exercises = [...all.values()];
  return ok({
    materials: bundle.materials.map(({ name }) => name),
    exercises: exercises.filter((one) => !isHere(one)).map(({ name }) => name),
    known: exercises.filter(isHere).map(({ name }) => name),
    families: bundle.families.map(({ name }) => name),
    programs: bundle.programs.map(({ name, outline }) => ({
      name,
      items: itemsOf(outline).length,
    })),
  });
}
