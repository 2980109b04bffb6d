import { shapeKey } from '@/core/analysis';
import { fail, ok, type Result } from '@/core/issue';
import { expand, recipeHash, type ClosedRecipe } from '@/core/recipe';
import type { ExerciseId, ExerciseName, SavedExercise, Viewer } from '@/core/studio';
import { queries } from '@/db';
import { newId, type Context } from './context';
import { readName, teacherOnly } from './guard';

const WHAT = 'exercise';

/** The studio's exercises, latest first. */
export function listExercises(context: Context, viewer: Viewer): Result<readonly SavedExercise[]> {
  return teacherOnly(viewer, WHAT) ?? ok(queries.listExercises(context.db, viewer.studioId));
}

/** The studio's exercises by name, latest first. */
export function listExerciseNames(
  context: Context,
  viewer: Viewer,
): Result<readonly ExerciseName[]> {
  return teacherOnly(viewer, WHAT) ?? ok(queries.listExerciseNames(context.db, viewer.studioId));
}

export function getExercise(
  context: Context,
  viewer: Viewer,
  id: ExerciseId,
): Result<SavedExercise> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const found = queries.findExercise(context.db, viewer.studioId, id);
  return found ? ok(found) : fail({ code: 'not-found', path: ['id'], what: WHAT });
}

/** Saves an exercise that can be played: over the one with this id, or as a new one.
 * @returns issues of `expand` for a recipe that plays nothing or has a fault */
export function saveExercise(
  context: Context,
  viewer: Viewer,
  input: { id: ExerciseId | null; name: string; recipe: ClosedRecipe },
): Result<SavedExercise> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const name = readName(input.name, WHAT);
  if (!name.ok) return name;
  const exercise = expand(input.recipe);
  if (!exercise.ok) return exercise;
  const saved = {
    name: name.value,
    recipe: input.recipe,
    hash: recipeHash(input.recipe),
    updatedAt: context.now(),
  };
  if (input.id === null) {
    const id = newId<'exercise'>(context);
    queries.insertExercise(context.db, { id, studioId: viewer.studioId, ...saved });
    return ok({ id, ...saved });
  }
  const found = getExercise(context, viewer, input.id);
  if (!found.ok) return found;
  queries.updateExercise(context.db, input.id, saved);
  return ok({ id: input.id, ...saved });
}

/** Takes an exercise out of the list, or back in; programs that use it keep it. */
export function archiveExercise(
  context: Context,
  viewer: Viewer,
  id: ExerciseId,
  archived: boolean,
): Result<null> {
  const found = getExercise(context, viewer, id);
  if (!found.ok) return found;
  queries.updateExercise(context.db, id, { archivedAt: archived ? context.now() : null });
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
export function findTwins(
  context: Context,
  viewer: Viewer,
  shape: string,
): Result<readonly SavedExercise[]> {
  const names = listExerciseNames(context, viewer);
  if (!names.ok || shape === '') return names.ok ? ok([]) : names;
  const find = (id: ExerciseId) => queries.findExercise(context.db, viewer.studioId, id);
  return ok(
    names.value
      .filter((one) => shapeOf(one, () => find(one.id)) === shape)
      .map((one) => find(one.id))
      .filter((one) => one !== null),
  );
}
