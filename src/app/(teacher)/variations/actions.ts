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

const sentSchema = z.array(z.object({ name: z.string().max(200), recipe: z.unknown() })).max(2000);

/** Puts members of a family at the end of a program, or of a new one of this name. */
export async function send(to: unknown, exercises: unknown): Promise<Result<ProgramId>> {
  const { context, viewer } = await teacherVisit();
  const read: { name: string; recipe: ClosedRecipe }[] = [];
  for (const { name, recipe } of sentSchema.parse(exercises)) {
    const one = readRecipe(recipe);
    const closed = one.ok ? close(one.value) : one;
    if (!closed.ok) return closed;
    read.push({ name, recipe: closed.value });
  }
  return sendToProgram(context, viewer, toSchema.parse(to), read);
}
