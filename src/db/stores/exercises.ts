import { and, desc, eq, isNull } from 'drizzle-orm';
import { must } from '@/core/issue';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
import type { ExerciseId, ExerciseName, SavedExercise, StudioId } from '@/core/studio';
import type { Connection } from '../connection';
import { exercise } from '../schema';

type Row = typeof exercise.$inferSelect;

/** Stored recipes were closed and checked before they were stored: one that cannot be read is a
 * broken file, and throws. */
function savedExerciseOf(row: Row): SavedExercise {
  const recipe = must(close(must(readRecipe(row.recipe))));
  const { id, name, hash, updatedAt } = row;
  return { id, name, recipe, hash, updatedAt };
}

/** A studio's exercises. */
export function exercisesOf(db: Connection, studioId: StudioId) {
  const { id, name, hash } = exercise;
  const listed = and(eq(exercise.studioId, studioId), isNull(exercise.archivedAt));
  const one = (of: ExerciseId) => and(eq(exercise.studioId, studioId), eq(exercise.id, of));
  const latest = [desc(exercise.updatedAt), desc(exercise.id)];
  return {
    /** Latest first. */
    list(): SavedExercise[] {
      const rows = db
        .select()
        .from(exercise)
        .where(listed)
        .orderBy(...latest);
      return rows.all().map(savedExerciseOf);
    },

    /** Latest first, without their recipes. */
    names(): ExerciseName[] {
      return db
        .select({ id, name, hash })
        .from(exercise)
        .where(listed)
        .orderBy(...latest)
        .all();
    },

    /** Archived ones too, so that nothing that uses them breaks. */
    find(of: ExerciseId): SavedExercise | null {
      const row = db.select().from(exercise).where(one(of)).get();
      return row ? savedExerciseOf(row) : null;
    },

    insert(row: {
      id: ExerciseId;
      name: string;
      recipe: ClosedRecipe;
      hash: string;
      updatedAt: number;
    }): void {
      db.insert(exercise)
        .values({ ...row, studioId })
        .run();
    },

    /** @returns whether there is such an exercise */
    update(
      of: ExerciseId,
      change: Partial<{
        name: string;
        recipe: ClosedRecipe;
        hash: string;
        updatedAt: number;
        archivedAt: number | null;
      }>,
    ): boolean {
      return db.update(exercise).set(change).where(one(of)).run().changes > 0;
    },
  };
}
