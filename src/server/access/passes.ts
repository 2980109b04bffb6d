import type { Reading } from '@/core/studio';
import type { Pass, WaysStore } from '@/db';
import { newId } from '../context';
import { fourDigits, keyed, sealed } from './secret';

/** A pass that is about to be handed out. */
export function newPass<Kind extends Pass['kind']>(
  me: { readonly now: () => number },
  kind: Kind,
  more: Partial<Pick<Pass, 'name' | 'email' | 'hash' | 'endsAt' | 'programId'>> = {},
) {
  const row = { name: '', email: null, hash: null, endsAt: null, programId: null, ...more };
  return { id: newId(me), kind, createdAt: me.now(), ...row };
}

/** The path of a student's private link. */
export function linkOf({ id }: Pick<Pass, 'id'>): string {
  return `/s/${sealed('student', id)}`;
}

/** The path of a student's private link; null as long as they have none. */
export function linkPathOf(ways: WaysStore, now: number): string | null {
  const link = ways.passes.list(now).find(({ kind }) => kind === 'student');
  return link ? linkOf(link) : null;
}

export function readingOf({ id, name, endsAt }: Pick<Pass, 'id' | 'name' | 'endsAt'>): Reading {
  return { id, name, endsAt, path: `/reading/${sealed('reader', id)}` };
}

/** A student's number on the studio's tablets. */
export function pinOf(ways: WaysStore): string {
  return fourDigits('pin', `${ways.id} ${ways.pin()}`);
}

/** What is kept of a code. */
export function codeHash(studio: Pass['studioId'], code: string): string {
  return keyed('code', `${studio} ${code}`);
}
