'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import type { Issue } from '@/core/issue';
import { addStudent } from '@/server';
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
