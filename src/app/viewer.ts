import { cookies } from 'next/headers';
import { connection } from 'next/server';
import { notFound, redirect } from 'next/navigation';
import type { Result } from '@/core/issue';
import type { PersonId, Viewer } from '@/core/studio';
import { asStudent, asTeacher, liveContext, viewerOf, type Student, type Teacher } from '@/server';

const COOKIE = 'mivvel-viewer';

/** Who looks, by the cookie of the start page; null when nobody was picked. Nothing but this file
 * knows how a viewer is found. */
export async function viewerNow(): Promise<(Viewer & { readonly name: string }) | null> {
  await connection();
  const id = (await cookies()).get(COOKIE)?.value;
  return id ? viewerOf(liveContext(), id as PersonId) : null;
}

/** For the teacher's pages: a student is sent to Today, nobody to the start page. */
export async function teacherVisit(): Promise<{ readonly me: Teacher; readonly name: string }> {
  const viewer = (await viewerNow()) ?? redirect('/');
  const me = asTeacher(liveContext(), viewer);
  return me.ok ? { me: me.value, name: viewer.name } : redirect('/today');
}

/** For the student's pages: a teacher is sent to the Bench, nobody to the start page. */
export async function studentVisit(): Promise<{ readonly me: Student; readonly name: string }> {
  const viewer = (await viewerNow()) ?? redirect('/');
  const me = asStudent(liveContext(), viewer);
  return me.ok ? { me: me.value, name: viewer.name } : redirect('/bench');
}

export async function setViewer(id: PersonId | null): Promise<void> {
  const jar = await cookies();
  if (id === null) jar.delete(COOKIE);
  else jar.set(COOKIE, id, { httpOnly: true, sameSite: 'lax', path: '/' });
}

/** The value of a use case that only reads; what is not there, or not the viewer's, is a 404. */
export function found<T>(result: Result<T>): T {
  return result.ok ? result.value : notFound();
}

/** An id from the address; anything that cannot be one is a 404. */
export function idOr404<T>(id: T | null): T {
  return id ?? notFound();
}
