'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { fail, type Result } from '@/core/issue';
import { close, readRecipe } from '@/core/recipe';
import { idSchema, type ProgramId, type SavedExercise } from '@/core/studio';
import {
  addItem,
  archiveExercise,
  createProgram,
  findTwins,
  getExercise,
  saveExercise,
  saveMaterial,
} from '@/server';
import { teacherVisit } from '../../viewer';

const saveSchema = z.object({
  id: idSchema<'exercise'>().nullable(),
  name: z.string().max(200),
  recipe: z.unknown(),
});

export async function save(input: unknown): Promise<Result<SavedExercise>> {
  const { context, viewer } = await teacherVisit();
  const { id, name, recipe } = saveSchema.parse(input);
  const read = readRecipe(recipe);
  if (!read.ok) return read;
  const closed = close(read.value);
  if (!closed.ok) return closed;
  return saveExercise(context, viewer, { id, name, recipe: closed.value });
}

export async function archive(id: unknown, archived: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const exercise = idSchema<'exercise'>().parse(id);
  return archiveExercise(context, viewer, exercise, z.boolean().parse(archived));
}

const addSchema = z.union([
  z.object({ id: idSchema<'program'>() }),
  z.object({ name: z.string().max(200) }),
]);

/** Adds a saved exercise to a program, or to a new one of this name. */
export async function addToProgram(
  program: unknown,
  exerciseId: unknown,
): Promise<Result<ProgramId>> {
  const { context, viewer } = await teacherVisit();
  const to = addSchema.parse(program);
  const exercise = idSchema<'exercise'>().safeParse(exerciseId);
  if (!exercise.success) return fail({ code: 'not-found', path: [], what: 'exercise' });
  const made: Result<ProgramId> =
    'id' in to ? { ok: true, value: to.id } : createProgram(context, viewer, to.name);
  if (!made.ok) return made;
  const added = addItem(context, viewer, made.value, exercise.data);
  return added.ok ? made : added;
}

/** A saved exercise, to be put behind another one. */
export async function open(id: unknown): Promise<Result<SavedExercise>> {
  const { context, viewer } = await teacherVisit();
  return getExercise(context, viewer, idSchema<'exercise'>().parse(id));
}

/** Saved exercises that sound like this one, by its shape. */
export async function twins(shape: unknown): Promise<Result<readonly SavedExercise[]>> {
  const { context, viewer } = await teacherVisit();
  return findTwins(context, viewer, z.string().max(100_000).parse(shape));
}

/** Puts a rules table on the shelf. */
export async function saveRules(name: unknown, rules: unknown): Promise<Result<unknown>> {
  const { context, viewer } = await teacherVisit();
  const saved = saveMaterial(context, viewer, {
    id: null,
    kind: 'rules',
    name: z.string().max(200).parse(name),
    trains: '',
    meter: null,
    content: { rules },
  });
  revalidatePath('/bench');
  return saved;
}
