'use server';

import { revalidatePath } from 'next/cache';
import type { Result } from '@/core/issue';
import { scheduleSchema } from '@/core/plan';
import { idSchema } from '@/core/studio';
import { setSchedule } from '@/server';
import { visit } from './viewer';

/** Sets when a student practises; for the teacher and for the student. */
export async function setPlanOf(student: unknown, schedule: unknown): Promise<Result<null>> {
  const { context, viewer } = await visit();
  const id = idSchema<'person'>().parse(student);
  const result = setSchedule(context, viewer, id, scheduleSchema.parse(schedule));
  if (result.ok) revalidatePath('/', 'layout');
  return result;
}
