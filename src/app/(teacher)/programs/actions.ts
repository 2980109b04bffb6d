'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import type { Issue, Result } from '@/core/issue';
import type { Course } from '@/core/ladder';
import { idSchema, type AssignmentId, type ItemId } from '@/core/studio';
import {
  addItem,
  archiveProgram,
  createProgram,
  giveProgram,
  moveItem,
  removeItem,
  renameProgram,
  setCourse,
  takeBack,
} from '@/server';
import { teacherVisit } from '../../viewer';

const programId = idSchema<'program'>();
const itemId = idSchema<'item'>();
const typed = z.string().max(200);

/** The pages of a program, and those of whoever has it. */
function seen<T>(result: Result<T>): Result<T> {
  if (result.ok) revalidatePath('/', 'layout');
  return result;
}

export async function create(_before: readonly Issue[], form: FormData): Promise<readonly Issue[]> {
  const { context, viewer } = await teacherVisit();
  const made = seen(createProgram(context, viewer, typed.parse(form.get('name'))));
  if (!made.ok) return made.issues;
  redirect(`/programs/${made.value}`);
}

export async function rename(id: unknown, name: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(renameProgram(context, viewer, programId.parse(id), typed.parse(name)));
}

export async function archive(id: unknown, archived: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(archiveProgram(context, viewer, programId.parse(id), z.boolean().parse(archived)));
}

export async function add(id: unknown, exercise: unknown): Promise<Result<ItemId>> {
  const { context, viewer } = await teacherVisit();
  const exerciseId = idSchema<'exercise'>().parse(exercise);
  return seen(addItem(context, viewer, programId.parse(id), exerciseId));
}

export async function remove(id: unknown, removed: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  return seen(removeItem(context, viewer, itemId.parse(id), z.boolean().parse(removed)));
}

export async function move(id: unknown, by: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const step = z.union([z.literal(1), z.literal(-1)]).parse(by);
  return seen(moveItem(context, viewer, itemId.parse(id), step));
}

const courseSchema = z.object({
  start: typed,
  target: typed,
  step: typed,
  dosage: z.enum(['minutes', 'repetitions', 'bars']),
  amount: typed,
  clean: typed,
  lost: typed,
});

export async function course(id: unknown, fields: unknown): Promise<Result<Course>> {
  const { context, viewer } = await teacherVisit();
  return seen(setCourse(context, viewer, itemId.parse(id), courseSchema.parse(fields)));
}

export async function give(id: unknown, student: unknown): Promise<Result<AssignmentId>> {
  const { context, viewer } = await teacherVisit();
  const studentId = idSchema<'person'>().parse(student);
  return seen(giveProgram(context, viewer, programId.parse(id), studentId));
}

export async function take(assignment: unknown, ended: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const id = idSchema<'assignment'>().parse(assignment);
  return seen(takeBack(context, viewer, id, z.boolean().parse(ended)));
}
