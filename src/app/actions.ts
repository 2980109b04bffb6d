'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import type { Issue, Result } from '@/core/issue';
import { parseId, speechSchema } from '@/core/studio';
import { liveContext, openStudio, setSpeech, viewerOf } from '@/server';
import { setViewer, teacherVisit } from './viewer';

/** The start page's choice of a person. */
export async function enter(form: FormData): Promise<void> {
  const id = parseId<'person'>(String(form.get('person') ?? ''));
  const found = id && viewerOf(liveContext(), id);
  if (!found) redirect('/');
  await setViewer(found.personId);
  redirect(found.role === 'teacher' ? '/bench' : '/today');
}

export async function open(_before: readonly Issue[], form: FormData): Promise<readonly Issue[]> {
  const text = (name: string) => String(form.get(name) ?? '');
  const opened = openStudio(liveContext(), {
    studio: text('studio'),
    teacher: text('teacher'),
    zone: text('zone'),
  });
  if (!opened.ok) return opened.issues;
  await setViewer(opened.value);
  redirect('/students');
}

export async function leave(): Promise<void> {
  await setViewer(null);
  redirect('/');
}

/** How the studio names note values and counts. */
export async function setStudioSpeech(speech: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const done = setSpeech(context, viewer, speechSchema.parse(speech));
  revalidatePath('/', 'layout');
  return done;
}
