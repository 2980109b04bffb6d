'use server';

import { redirect } from 'next/navigation';
import * as z from 'zod/mini';
import { text } from '@/core/shape';
import type { Issue } from '@/core/issue';
import { parseId, speechSchema } from '@/core/studio';
import { liveContext, openStudio, setSpeech, viewerOf } from '@/server';
import { readForm, teacherAction, tried } from './act';
import { typedName } from './shapes';
import { setViewer } from './viewer';

/** The start page's choice of a person. */
export async function enter(form: FormData): Promise<void> {
  const id = parseId<'person'>(String(form.get('person') ?? ''));
  const found = id && viewerOf(liveContext(), id);
  if (!found) redirect('/');
  await setViewer(found.personId);
  redirect(found.role === 'teacher' ? '/bench' : '/today');
}

const studio = z.object({ studio: typedName, teacher: typedName, zone: text(80) });

export async function open(_before: readonly Issue[], form: FormData): Promise<readonly Issue[]> {
  const typed = readForm(form, studio);
  const opened = typed.ok ? await tried(() => openStudio(liveContext(), typed.value)) : typed;
  if (!opened.ok) return opened.issues;
  await setViewer(opened.value);
  redirect('/students');
}

export async function leave(): Promise<void> {
  await setViewer(null);
  redirect('/');
}

/** How the studio names note values and counts. */
export const setStudioSpeech = teacherAction([speechSchema], setSpeech, { changes: true });
