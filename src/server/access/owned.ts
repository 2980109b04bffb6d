import { fail, ok, type Result } from '@/core/issue';
import type { AuditLine, PersonId } from '@/core/studio';
import type { Tablet } from '@/db';
import { randomBytes } from 'node:crypto';
import type { Owner, Teacher } from '../authority';
import { newId } from '../context';
import { readName } from '../names';
import { realEmail } from './names';
import { note } from '../audit';
import { sealed, unlocked } from './secret';

/** A teacher of the studio. */
interface StaffMember {
  readonly id: PersonId;
  readonly name: string;
  readonly role: 'owner' | 'teacher';
  readonly email: string | null;
  readonly students: number;
}

/** What the owner looks after. */
export interface Owned {
  readonly studio: string;
  readonly staff: readonly StaffMember[];
  readonly invitations: readonly {
    readonly id: string;
    readonly email: string;
    readonly path: string;
    readonly endsAt: number | null;
  }[];
  readonly tablets: readonly Tablet[];
  readonly mails: readonly {
    readonly id: string;
    readonly at: number;
    readonly to: string;
    /** Null where the secret is not the one it was sealed with. */
    readonly letter: { readonly subject: string; readonly text: string } | null;
  }[];
  readonly audit: readonly AuditLine[];
}

const MOST_LINES = 200;

export function getOwned({ owned, store, now }: Owner): Owned {
  return {
    studio: store.studio().name,
    staff: owned.staff().map(({ students, email, ...one }) => ({
      ...{ ...one, email: realEmail(email), students: students.length },
    })),
    invitations: owned.invitations.list(now()).map(({ id, email, endsAt }) => ({
      ...{ id, email: email ?? '', endsAt },
      path: `/invitation/${sealed('teacher', id)}`,
    })),
    tablets: owned.tablets(),
    mails: owned.mails().map(({ sealed: text, ...one }) => {
      const open = unlocked(text);
      const letter = open === null ? null : (JSON.parse(open) as { subject: string; text: string });
      return { ...one, letter };
    }),
    audit: owned.audit(MOST_LINES),
  };
}

/** A teacher leaves; their students go to another. @returns issue `not-found` */
export function letTeacherGo(me: Owner, id: PersonId, to: PersonId): Result<null> {
  if (!me.owned.letGo(id, to, me.now())) {
    return fail({ code: 'not-found', path: ['teacher'], what: 'teacher' });
  }
  note(me, 'left', me.id, id);
  return ok(null);
}

/** Another teacher owns the studio from now on; whoever did teaches on.
 * @returns issue `not-found` where there is no such teacher who can sign in */
export function handStudioOver(me: Owner, to: PersonId): Result<null> {
  if (!me.owned.handOver(me.id, to)) {
    return fail({ code: 'not-found', path: ['teacher'], what: 'teacher' });
  }
  note(me, 'handedOver', me.id, to);
  return ok(null);
}

/** Makes a browser one of the studio's tablets.
 * @returns what its cookie holds; issue `name-missing` */
export function makeTablet(me: Teacher, typed: string): Result<string> {
  const name = readName(typed, 'tablet');
  if (!name.ok) return name;
  const token = randomBytes(32).toString('base64url');
  me.store.addTablet({ id: newId(me), name: name.value, token, createdAt: me.now() });
  note(me, 'tabletMade', me.id);
  return ok(token);
}

/** A tablet is the studio's no longer; who is signed in on it is signed out. @returns issue `not-found` */
export function endTablet(me: Owner, id: string): Result<null> {
  if (!me.owned.endTablet(id)) return fail({ code: 'not-found', path: ['id'], what: 'tablet' });
  note(me, 'tabletEnded', me.id);
  return ok(null);
}
