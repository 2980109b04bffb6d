'use server';

import * as z from 'zod/mini';
import { text, list } from '@/core/shape';
import { readFamily } from '@/core/family';
import { ok, type Result } from '@/core/issue';
import { courseSchema } from '@/core/ladder';
import { archiveFamily, saveFamily, sendToProgram, type SentExercise } from '@/server';
import { teacherAction } from '../../act';
import { all, closedRecipe, flag, ids, toProgram, typedName } from '../../shapes';

const saved = z.object({ id: z.nullable(ids.family), name: typedName, family: z.unknown() });

export const save = teacherAction([saved], (me, { id, name, family }) => {
  const read = readFamily(family);
  return read.ok ? saveFamily(me, { id, name, family: read.value }) : read;
});

export const archive = teacherAction([ids.family, flag], archiveFamily);

const step = z.object({
  says: text(120),
  recipe: z.unknown(),
  untimed: z.optional(z.boolean()),
});

const sent = z.object({
  name: typedName,
  recipe: z.unknown(),
  steps: z.optional(list(step, 0, 200)),
  course: z.optional(courseSchema),
  follows: z.optional(z.boolean()),
});

/** Puts members of a family at the end of a program, or of a new one of this name. */
export const send = teacherAction([toProgram, list(sent, 0, 2000)], (me, to, exercises) => {
  const read = all(exercises.map(readSent));
  return read.ok ? sendToProgram(me, to, read.value) : read;
});

function readSent({ name, recipe, steps, ...how }: z.infer<typeof sent>): Result<SentExercise> {
  const whole = closedRecipe(recipe);
  if (!whole.ok) return whole;
  if (!steps) return ok({ name, recipe: whole.value, ...how });
  const closed = all(
    steps.map(({ recipe: one, ...step }) => {
      const made = closedRecipe(one);
      return made.ok ? ok({ ...step, recipe: made.value }) : made;
    }),
  );
  return closed.ok ? ok({ name, recipe: whole.value, steps: closed.value, ...how }) : closed;
}
