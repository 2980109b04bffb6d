import { cookies, headers } from 'next/headers';
import { connection } from 'next/server';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import type { Result } from '@/core/issue';
import type { Role } from '@/core/studio';
import {
  asOwner,
  asStudent,
  asTeacher,
  COOKIE_SECONDS,
  liveContext,
  originsForOthers,
  rotated,
  signOut,
  whoIs,
  type Browser,
  type Owner,
  type SignedIn,
  type Student,
  type Teacher,
} from '@/server';
import { reachAction } from '@/server/reached';

/** What a signed-in browser holds, and what one of the studio's tablets holds besides. */
const COOKIES = { session: 'mivvel-session', tablet: 'mivvel-tablet' };

/** Who is signed in; null for nobody. Nothing but this file knows how that is found. */
export const viewerNow = cache(async (): Promise<SignedIn | null> => {
  await connection();
  const token = (await cookies()).get(COOKIES.session)?.value;
  return token ? whoIs(liveContext(), token) : null;
});

/** Who is signed in, for an action or a route: their cookie gets another content from time to time. */
export async function viewerActing(): Promise<SignedIn | null> {
  const viewer = await viewerNow();
  const token = viewer && rotated(liveContext(), viewer);
  if (token) await keep(COOKIES.session, token);
  return viewer;
}

/** The browser that asks, as far as it says so itself. */
export async function browserNow(): Promise<Browser> {
  const asked = await headers();
  const address = asked.get('x-forwarded-for')?.split(',').at(-1)?.trim() ?? '';
  return { agent: asked.get('user-agent') ?? '', address };
}

async function isHttps(): Promise<boolean> {
  return (await headers()).get('x-forwarded-proto')?.split(',')[0]?.trim() === 'https';
}

/** Where this Mivvel was asked, such as `http://192.168.1.20:3000`, for links that lead back to it. */
export async function originNow(): Promise<string> {
  const host = (await headers()).get('host') ?? 'localhost';
  return `${(await isHttps()) ? 'https' : 'http'}://${host}`;
}

/** Where a studio is reached, in front of its links: the address it was given, or where it was asked.
 * @returns with it, where others may reach it, when that leads to this computer alone */
export async function reachedNow(me: Teacher) {
  const { address } = me.store.studio();
  const asked = await originNow();
  return { origin: address ?? asked, others: address === null ? originsForOthers(asked) : [] };
}

async function keep(name: string, value: string): Promise<void> {
  (await cookies()).set(name, value, {
    ...{ httpOnly: true, sameSite: 'lax', path: '/', maxAge: COOKIE_SECONDS },
    secure: await isHttps(),
  });
}

/** Keeps who signed in; whoever was before is signed out here. */
export async function keepSignedIn(token: string): Promise<void> {
  await forgetSignedIn();
  await keep(COOKIES.session, token);
}

/** Signs out on this browser. */
export async function forgetSignedIn(): Promise<void> {
  reachAction();
  const viewer = await viewerNow();
  if (viewer) signOut(liveContext(), viewer);
  (await cookies()).delete(COOKIES.session);
}

/** What makes this browser one of the studio's tablets; null where it is none. */
export async function tabletToken(): Promise<string | null> {
  return (await cookies()).get(COOKIES.tablet)?.value ?? null;
}

export async function keepTablet(token: string): Promise<void> {
  await keep(COOKIES.tablet, token);
}

/** Where somebody begins. */
export function homeOf(role: Role): string {
  return role === 'student' ? '/today' : '/bench';
}

/** For the teacher's pages: a student is sent to Today, nobody to the start page. */
export async function teacherVisit(): Promise<{
  readonly me: Teacher;
  readonly name: string;
  readonly viewer: SignedIn;
}> {
  const viewer = (await viewerNow()) ?? redirect('/');
  const me = asTeacher(liveContext(), viewer);
  return me.ok ? { me: me.value, name: viewer.name, viewer } : redirect('/today');
}

/** The owner, on a teacher's page; null for any other teacher. */
export async function ownerVisit(): Promise<Owner | null> {
  const me = asOwner(liveContext(), await viewerNow());
  return me.ok ? me.value : null;
}

/** For the student's pages: a teacher is sent to the Bench, nobody to the start page. */
export async function studentVisit(): Promise<{
  readonly me: Student;
  readonly name: string;
  readonly viewer: SignedIn;
}> {
  const viewer = (await viewerNow()) ?? redirect('/');
  const me = asStudent(liveContext(), viewer);
  return me.ok ? { me: me.value, name: viewer.name, viewer } : redirect('/bench');
}

/** The value of a use case that only reads; what is not there, or not the viewer's, is a 404. */
export function found<T>(result: Result<T>): T {
  return result.ok ? result.value : notFound();
}

/** An id from the address; anything that cannot be one is a 404. */
export function idOr404<T>(id: T | null): T {
  return id ?? notFound();
}
