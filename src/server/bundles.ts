import type { Family } from '@/core/family';
import { latestOf, type Bundle, type BundledProgram } from '@/core/format';
import { ok, type Result } from '@/core/issue';
import { itemsOf, renameItems } from '@/core/program';
import { recipeHash, type ClosedRecipe } from '@/core/recipe';
import {
  NOTHING_IMPORTED,
  type BundleSummary,
  type ExerciseId,
  type FamilyId,
  type Imported,
  type ItemId,
  type MaterialId,
  type SettingId,
} from '@/core/studio';
import type { Teacher } from './authority';
import { importStudents, tellStudents, triesIn, type Arrived } from './bundled-students';
import { newId } from './context';
import { archiveExercise } from './exercises';
import { archiveFamily, saveFamily } from './families';
import { archiveMaterial, saveMaterial } from './materials';
import { archiveProgram } from './programs';
import { takeBackTries } from './log-tables';
import { archiveStudent } from './rosters';

/** Takes a bundle in, whole or not at all. Everything gets ids of its own, so that nothing that is here changes; an
 * exercise that the studio has by the same name, and that plays the same, is not taken twice.
 * @returns what came new */
export function importBundle(me: Teacher, bundle: Bundle): Result<Imported> {
  return me.store.together(() => {
    const ids = new Map<string, MaterialId>();
    // Lists begin with the latest; what is made later here is later here too.
    for (const { id, version, name, held, trains, meter } of bundle.materials.toReversed()) {
      const input = { id: null, kind: held.kind, name, trains, meter };
      const saved = saveMaterial(me, { ...input, content: held.content }, version);
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
    /** By their ids in the bundle. */
    const arrived = new Map<string, ExerciseId>();
    for (const { id, name, archived, recipe } of bundle.exercises.toReversed()) {
      if (!archived) arrived.set(id, exerciseOf(name, renamed(recipe, ids)));
      else arrived.set(id, archivedExercise(me, name, renamed(recipe, ids)));
    }
    const families: FamilyId[] = [];
    for (const { name, family } of bundle.families.toReversed()) {
      const saved = saveFamily(me, { id: null, name, family: renamed(family, ids) });
      if (!saved.ok) return saved;
      families.push(saved.value.id);
    }
    const programs = new Map<string, Arrived>();
    for (const program of bundle.programs.toReversed()) {
      const exerciseFor = (was: string, name: string, recipe: ClosedRecipe): ExerciseId => {
        const id = arrived.get(was) ?? exerciseOf(name, recipe);
        arrived.set(was, id);
        return id;
      };
      programs.set(program.id, importProgram(me, program, ids, exerciseFor, arrived));
    }
    const people = importStudents(me, bundle.students, programs);
    const { coming: settings } = tellSettings(me, bundle);
    setSettings(me, settings, settings);
    const came = { people, settings, materials: [...ids.values()], exercises, families };
    const shown = bundle.programs.filter(({ archived }) => !archived);
    const ownIds = shown.flatMap(({ id }) => programs.get(id)?.id ?? []);
    return ok({ ...NOTHING_IMPORTED, ...came, programs: ownIds });
  });
}

/** Settings of a bundle that the studio has not said itself come; what it has said stays. */
function tellSettings({ store }: Teacher, { settings }: Bundle) {
  const here = store.studio();
  const { speech, steps } = settings ?? NOTHING_IMPORTED.settings;
  const differs = (one: unknown, other: unknown) =>
    one !== null && other !== null && JSON.stringify(one) !== JSON.stringify(other);
  const known: SettingId[] = [];
  if (differs(speech, here.speech)) known.push('speech');
  if (differs(steps, here.steps)) known.push('steps');
  return {
    coming: { speech: here.speech ? null : speech, steps: here.steps ? null : steps },
    known,
  };
}

/** Sets those of a studio's settings that came with a file. @param to null takes them away again */
function setSettings(
  { store }: Teacher,
  came: Imported['settings'],
  to: Imported['settings'] | null,
): void {
  if (came.speech) store.setSpeech(to?.speech ?? null);
  if (came.steps) store.setSteps(to?.steps ?? null);
}

/** An exercise that only what was given holds: in no list here either. */
function archivedExercise(me: Teacher, name: string, recipe: ClosedRecipe): ExerciseId {
  const id = newId<'exercise'>(me);
  const hash = recipeHash(recipe);
  me.store.exercises.insert({ id, name, recipe, hash, updatedAt: me.now() });
  me.store.exercises.update(id, { archivedAt: me.now() });
  return id;
}

/** Takes a program in with all its versions, its items under ids of their own.
 * @param exerciseFor what an item is made of, by its id in the bundle; made where the bundle has it not */
function importProgram(
  me: Teacher,
  { name, template, archived, versions, gone }: BundledProgram,
  materials: ReadonlyMap<string, MaterialId>,
  exerciseFor: (was: string, name: string, recipe: ClosedRecipe) => ExerciseId,
  exercises: ReadonlyMap<string, ExerciseId>,
): Arrived {
  const id = newId<'program'>(me);
  const items = new Map<ItemId, ItemId>();
  const held = versions.flatMap(({ outline }) => itemsOf(outline));
  for (const item of [...held, ...gone]) {
    if (!items.has(item.id)) items.set(item.id, newId<'item'>(me));
  }
  me.store.programs.insert({ id, name, createdAt: me.now() });
  const archivedAt = archived ? me.now() : null;
  me.store.programs.update(id, { template, archivedAt });
  // The latest first: what it is made of now is what its exercises are.
  versions.toReversed().forEach(({ version, outline, recipes }, index) => {
    const own: Record<ItemId, ClosedRecipe> = {};
    const sections = renameItems(outline, items).sections.map((section, at) => ({
      ...section,
      items: section.items.map((item, place) => {
        const was = outline.sections[at]?.items[place];
        const written = was && recipes[was.id];
        if (!written) throw new Error(`${item.name} has no recipe`);
        const recipe = renamed(written, materials);
        own[item.id] = recipe;
        const exerciseId = exerciseFor(was.exerciseId, item.name, recipe);
        return { ...item, exerciseId, hash: recipeHash(recipe) };
      }),
    }));
    const revision = versions.length - index;
    const content = { version, revision, outline: { sections }, recipes: own };
    me.store.programs.putContent(id, me.now(), content);
  });
  for (const { id: was, exercise } of gone) {
    const [item, exerciseId] = [items.get(was), exercises.get(exercise)];
    if (item && exerciseId) me.store.programs.addItem(id, { id: item, exerciseId });
  }
  return { id, items };
}

const SETTINGS: readonly SettingId[] = ['speech', 'steps'];

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
    return here === undefined ? inner : { ...inner, id: here };
  };
  return walk(recipe) as Made;
}

/** Takes out what came with a file, or puts it back.
 * @returns issue `not-found` for what the studio has not; then nothing is changed */
export function archiveImported(
  me: Teacher,
  { people, materials, exercises, families, programs, tries, settings }: Imported,
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
    setSettings(me, settings, archived ? null : settings);
    return ok(null);
  });
}

export function lookIntoBundle(me: Teacher, bundle: Bundle): Result<BundleSummary> {
  const here = new Set(me.store.exercises.names().map(keyOf));
  const isHere = ({ name, recipe }: Pick<Bundle['exercises'][number], 'name' | 'recipe'>) =>
    here.has(keyOf({ name, hash: recipeHash(recipe) }));
  const listed = bundle.exercises.filter(({ archived }) => !archived);
  const ids = new Set(bundle.exercises.map(({ id }) => id));
  const inPrograms = bundle.programs.flatMap(({ versions }) =>
    versions.toReversed().flatMap(({ outline, recipes }) =>
      itemsOf(outline).flatMap(({ id, name, exerciseId }) => {
        const recipe = recipes[id];
        if (!recipe || ids.has(exerciseId)) return [];
        ids.add(exerciseId);
        return [{ name, recipe }];
      }),
    ),
  );
  const all = new Map(
    [...listed, ...inPrograms].map((one) => [
      keyOf({ name: one.name, hash: recipeHash(one.recipe) }),
      one,
    ]),
  );
  const exercises = [...all.values()];
  const { coming, known } = tellStudents(me, bundle.students);
  const settings = tellSettings(me, bundle);
  return ok({
    materials: bundle.materials.map(({ name }) => name),
    exercises: exercises.filter((one) => !isHere(one)).map(({ name }) => name),
    known: exercises.filter(isHere).map(({ name }) => name),
    families: bundle.families.map(({ name }) => name),
    programs: bundle.programs
      .filter(({ archived }) => !archived)
      .map((one) => ({ name: one.name, items: itemsOf(latestOf(one).outline).length })),
    students: coming.map((one) => ({ name: one.name, tries: triesIn(one) })),
    knownStudents: known,
    settings: SETTINGS.filter((one) => settings.coming[one] !== null),
    knownSettings: settings.known,
  });
}
