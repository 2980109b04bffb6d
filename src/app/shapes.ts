import * as z from 'zod/mini';
import { text } from '@/core/shape';
import { fail, type Issue, type Result } from '@/core/issue';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
import { idSchema } from '@/core/studio';

/** Shapes of what browsers send, for all actions and routes. */
export const ids = {
  assignment: idSchema<'assignment'>(),
  entry: idSchema<'entry'>(),
  exercise: idSchema<'exercise'>(),
  family: idSchema<'family'>(),
  item: idSchema<'item'>(),
  material: idSchema<'material'>(),
  person: idSchema<'person'>(),
  program: idSchema<'program'>(),
  session: idSchema<'session'>(),
};

/** What people type as a name; use cases say what is too long for one. */
export const typedName = text(200);

export const flag = z.boolean();

/** A program, or the name of a new one. */
export const toProgram = z.union([z.object({ id: ids.program }), z.object({ name: typedName })]);

/** A recipe that came from a browser, closed. */
export function closedRecipe(json: unknown): Result<ClosedRecipe> {
  const read = readRecipe(json);
  return read.ok ? close(read.value) : read;
}

/** Several results as one; all that is wrong comes back. */
export function all<T>(results: readonly Result<T>[]): Result<readonly T[]> {
  const issues: readonly Issue[] = results.flatMap((one) => (one.ok ? [] : one.issues));
  if (issues.length > 0) return fail(...issues);
  return { ok: true, value: results.flatMap((one) => (one.ok ? [one.value] : [])) };
}
