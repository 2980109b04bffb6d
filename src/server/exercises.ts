import { shapeKey } from '@/core/analysis';
import { fail, ok, type Result } from '@/core/issue';
import { expand, recipeHash, type ClosedRecipe } from '@/core/recipe';
import type { ExerciseId, ExerciseName, SavedExercise } from '@/core/studio';
import type { Teacher } from './authority';
import { newId } from './context';
import { readName } from './names';

const WHAT = 'exercise';

/** The studio's exercises, latest first. */
export function listExercises(me: Teacher): Result<readonly SavedExercise[]> {
  return ok(me.store.exercises.list());
}

/** The studio's exercises by name, latest first. */
export function listExerciseNames(me: Teacher): Result<readonly ExerciseName[]> {
  return ok(me.store.exercises.names());
}

export function getExercise(me: Teacher, id: ExerciseId): Result<SavedExercise> {
  const found = me.store.exercises.find(id);
  return found ? ok(found) : fail({ code: 'not-found', path: ['id'], what: WHAT });
}

/** Saves an exercise that can be played: over the one with this id, or as a new one.
 * @returns issues of `expand` for a recipe that plays nothing or has a fault */
export function saveExercise(
  me: Teacher,
  input: { id: ExerciseId | null; name: string; recipe: ClosedRecipe },
): Result<SavedExercise> {
  const name = readName(input.name, WHAT);
  if (!name.ok) return name;
  const exercise = expand(input.recipe);
  if (!exercise.ok) return exercise;
  const saved = {
    name: name.value,
    recipe: input.recipe,
    hash: recipeHash(input.recipe),
    updatedAt: me.now(),
  };
  if (input.id === null) {
    const id = newId<'exercise'>(me);
    me.store.exercises.insert({ id, ...saved });
    return ok({ id, ...saved });
  }
  const found = getExercise(me, input.id);
  if (!found.ok) return found;
  me.store.exercises.update(input.id, saved);
  return ok({ id: input.id, ...saved });
}

/** Takes an exercise out of the list, or back in; programs that use it keep it. */
export function archiveExercise(me: Teacher, id: ExerciseId, archived: boolean): Result<null> {
  const found = getExercise(me, id);
  if (!found.ok) return found;
  me.store.exercises.update(id, { archivedAt: archived ? me.now() : null });
  return ok(null);
}

/** Sound shapes of what was expanded before, by what it plays: a recipe is read only once. */
const SHAPES = new Map<string, string>();

/** Most shapes that are remembered. */
const MOST_SHAPES = 20_000;

function shapeOf({ hash }: ExerciseName, read: () => SavedExercise | null): string {
  const known = SHAPES.get(hash);
  if (known !== undefined) return known;
  const saved = read();
  const exercise = saved && expand(saved.recipe);
  const shape = exercise?.ok ? shapeKey(exercise.value, 'sound') : '';
  if (SHAPES.size >= MOST_SHAPES) SHAPES.clear();
  SHAPES.set(hash, shape);
  return shape;
}

/** Saved exercises that sound the same up to where they begin.
 * @param shape `shapeKey(exercise, 'sound')` of the one that is asked about */
export function findTwins(me: Teacher, shape: string): Result<readonly SavedExercise[]> {
  const names = listExerciseNames(me);
  if (!names.ok || shape === '') return names.ok ? ok([]) : names;
  const find = (id: ExerciseId) => me.store.exercises.find(id);
  return ok(
    names.value
      .filter((one) => shapeOf(one, () => find(one.id)) === shape)
      .map((one) => find(one.id))
      .filter((one) => one !== null),
  );
}
