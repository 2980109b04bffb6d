'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import type { Issue, Result } from '@/core/issue';
import { materialSchemas } from '@/core/recipe';
import { idSchema } from '@/core/studio';
import { addStudent, setKit } from '@/server';
import { teacherVisit } from '../../viewer';

const schema = z.object({ name: z.string().max(200), about: z.string().max(400) });

/** `added` names the student when it went well. */
interface Answer {
  readonly issues: readonly Issue[];
  readonly added: string | null;
}

export async function add(_before: Answer, form: FormData): Promise<Answer> {
  const { context, viewer } = await teacherVisit();
  const typed = schema.parse({ name: form.get('name'), about: form.get('about') });
  const added = addStudent(context, viewer, typed);
  if (!added.ok) return { issues: added.issues, added: null };
  revalidatePath('/students');
  return { issues: [], added: typed.name };
}

/** What a student plays on, and how. */
export async function setStudentKit(id: unknown, kit: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const student = idSchema<'person'>().parse(id);
  const done = setKit(context, viewer, student, materialSchemas.kit.parse(kit));
  revalidatePath(`/students/${student}`);
  return done;
}
