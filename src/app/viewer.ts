import { cookies } from 'next/headers';
import { connection } from 'next/server';
import { redirect } from 'next/navigation';
import type { Viewer } from '@/core/studio';
import { liveContext, viewerOf, type Context } from '@/server';

const COOKIE = 'mivvel-viewer';

export interface Visit {
  readonly context: Context;
  readonly viewer: Viewer;
  readonly name: string;
}

/** Who looks, by the cookie of the start page; null when nobody was picked. Nothing but this file
 * knows how a viewer is found. */
export async function visitOrNull(): Promise<Visit | null> {
  await connection();
  const id = (await cookies()).get(COOKIE)?.value;
  const context = liveContext();
  const found = id ? viewerOf(context, id as Viewer['personId']) : null;
  if (!found) return null;
  const { name, ...viewer } = found;
  return { context, viewer, name };
}

/** Who looks; sends to the start page when nobody was picked. */
export async function visit(): Promise<Visit> {
  return (await visitOrNull()) ?? redirect('/');
}

/** For the teacher's pages: a student is sent to Today. */
export async function teacherVisit(): Promise<Visit> {
  const found = await visit();
  if (found.viewer.role !== 'teacher') redirect('/today');
  return found;
}

/** For the student's pages: a teacher is sent to the Bench. */
export async function studentVisit(): Promise<Visit> {
  const found = await visit();
  if (found.viewer.role !== 'student') redirect('/bench');
  return found;
}

export async function setViewer(id: Viewer['personId'] | null): Promise<void> {
  const jar = await cookies();
  if (id === null) jar.delete(COOKIE);
  else jar.set(COOKIE, id, { httpOnly: true, sameSite: 'lax', path: '/' });
}
