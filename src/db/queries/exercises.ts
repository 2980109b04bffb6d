import { and, desc, eq, isNull } from 'drizzle-orm';
import { must } from '@/core/issue';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
import type { ExerciseId, ExerciseName, SavedExercise, StudioId } from '@/core/studio';
import type { Db } from '../open';
import { exercise } from '../schema';

type Row = typeof exercise.$inferSelect;

/** Stored recipes were closed and checked before they were stored: one that cannot be read is a
 * broken file, and throws. */
export function savedExerciseOf(row: Row): SavedExercise {
  const recipe = must(close(must(readRecipe(row.recipe))));
  const { id, name, hash, updatedAt } = row;
  return { id, name, recipe, hash, updatedAt };
}

/** Latest first. */
export function listExercises(db: Db, studioId: StudioId): SavedExercise[] {
  return db
    .select()
    .from(exercise)
    .where(and(eq(exercise.studioId, studioId), isNull(exercise.archivedAt)))
    .orderBy(desc(exercise.updatedAt), desc(exercise.id))
    .all()
    .map(savedExerciseOf);
}

/** Latest first, without their recipes. */
export function listExerciseNames(db: Db, studioId: StudioId): ExerciseName[] {
  const { id, name, hash } = exercise;
  return db
    .select({ id, name, hash })
    .from(exercise)
    .where(and(eq(exercise.studioId, studioId), isNull(exercise.archivedAt)))
    .orderBy(desc(exercise.updatedAt), desc(exercise.id))
    .all();
}

/** Archived ones too, so that nothing that uses them breaks. */
export function findExercise(db: Db, studioId: StudioId, id: ExerciseId): SavedExercise | null {
  const row = db
    .select()
    .from(exercise)
    .where(and(eq(exercise.studioId, studioId), eq(exercise.id, id)))
    .get();
  return row ? savedExerciseOf(row) : null;
}

export function insertExercise(
  db: Db,
  row: {
    id: ExerciseId;
    studioId: StudioId;
    name: string;
    recipe: ClosedRecipe;
    hash: string;
    updatedAt: number;
  },
): void {
  db.insert(exercise).values(row).run();
}

export function updateExercise(
  db: Db,
  id: ExerciseId,
  change: Partial<{
    name: string;
    recipe: ClosedRecipe;
    hash: string;
    updatedAt: number;
    archivedAt: number | null;
  }>,
): void {
  db.update(exercise).set(change).where(eq(exercise.id, id)).run();
}
