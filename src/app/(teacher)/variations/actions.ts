'use server';

import { z } from 'zod';
import { readFamily } from '@/core/family';
import { type Result } from '@/core/issue';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
import { idSchema, type ProgramId, type SavedFamily } from '@/core/studio';
import { archiveFamily, saveFamily, sendToProgram } from '@/server';
import { teacherVisit } from '../../viewer';

const saveSchema = z.object({
  id: idSchema<'family'>().nullable(),
  name: z.string().max(200),
  family: z.unknown(),
});

export async function save(input: unknown): Promise<Result<SavedFamily>> {
  const { context, viewer } = await teacherVisit();
  const { id, name, family } = saveSchema.parse(input);
  const read = readFamily(family);
  return read.ok ? saveFamily(context, viewer, { id, name, family: read.value }) : read;
}

export async function archive(id: unknown, archived: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const family = idSchema<'family'>().parse(id);
  return archiveFamily(context, viewer, family, z.boolean().parse(archived));
}

const toSchema = z.union([
  z.object({ id: idSchema<'program'>() }),
  z.object({ name: z.string().max(200) }),
]);

const stepSchema = z.object({ says: z.string().max(120), recipe: z.unknown() });

const sentSchema = z
  .array(
    z.object({
      name: z.string().max(200),
      recipe: z.unknown(),
      steps: z.array(stepSchema).max(200).optional(),
    }),
  )
  .max(2000);

type Sent = Parameters<typeof sendToProgram>[3][number];

function closedOf(json: unknown): Result<ClosedRecipe> {
  const read = readRecipe(json);
  return read.ok ? close(read.value) : read;
}

/** Puts members of a family at the end of a program, or of a new one of this name. */
export async function send(to: unknown, exercises: unknown): Promise<Result<ProgramId>> {
  const { context, viewer } = await teacherVisit();
  const read: Sent[] = [];
  for (const { name, recipe, steps } of sentSchema.parse(exercises)) {
    const closed = closedOf(recipe);
    if (!closed.ok) return closed;
    const closedSteps: { says: string; recipe: ClosedRecipe }[] = [];
    for (const step of steps ?? []) {
      const one = closedOf(step.recipe);
      if (!one.ok) return one;
      closedSteps.push({ says: step.says, recipe: one.value });
    }
    read.push({ name, recipe: closed.value, ...(steps ? { steps: closedSteps } : {}) });
  }
  return sendToProgram(context, viewer, toSchema.parse(to), read);
}
