import { randomBytes } from 'node:crypto';
import { ACCESS, type PersonId, type Role } from '@/core/studio';
import * as db from '@/db';
import type { SignedIn } from '@/db';
import { newId, type Context } from '../context';
import { ifPossible } from '../if-possible';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** After how long a cookie gets another content. */
const ROTATE_MS = 7 * DAY_MS;

function restOf({ role, onTablet }: Pick<SignedIn, 'role' | 'onTablet'>): number {
  return onTablet ? ACCESS.tabletRestHours * HOUR_MS : ACCESS.restDays[role] * DAY_MS;
}

function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** Where somebody signs in. */
export interface Browser {
  /** What it calls itself. */
  readonly agent: string;
  /** Its network address, for slowing down tries; kept nowhere. */
  readonly address: string;
}

const AGENT_LETTERS = 200;

/** Signs a person in.
 * @param tabletId the studio's tablet, where it is one
 * @returns what the browser's cookie holds from now on */
export function signInAs(
  context: Context,
  { personId, role }: { readonly personId: PersonId; readonly role: Role },
  { agent }: Browser,
  tabletId: string | null = null,
): string {
  const token = newToken();
  const now = context.now();
  const endsAt = now + restOf({ role, onTablet: tabletId !== null });
  const row = { id: newId(context), token, personId, tabletId, now, endsAt };
  db.insertSignIn(context.db, { ...row, agent: agent.slice(0, AGENT_LETTERS) }, newId(context));
  return token;
}

/** Who is signed in with what a cookie holds; null for nobody. Using it puts its end off, once a day; on a full
 * disk, another time. */
export function whoIs(context: Context, token: string): SignedIn | null {
  const now = context.now();
  const found = db.findSignIn(context.db, token, now);
  if (!found) return null;
  const step = found.onTablet ? HOUR_MS / 4 : DAY_MS;
  if (now - found.lastAt > step) {
    ifPossible(() => db.prolongSignIn(context.db, found.id, now, now + restOf(found)));
  }
  return found;
}

/** @returns the other content that a cookie is due for; null where it keeps its own */
export function rotated(context: Context, signedIn: SignedIn): string | null {
  const now = context.now();
  if (now - signedIn.rotatedAt < ROTATE_MS) return null;
  const token = newToken();
  const done = ifPossible(() => db.rotateSignIn(context.db, signedIn, token, now));
  return done === true ? token : null;
}

/** How long a browser may keep its cookie; what counts is what the server knows. */
export const COOKIE_SECONDS = 400 * 24 * 3600;

/** Forgets sign-ins that have ended, and what happened and was mailed long ago. */
export function forgetOld(context: Context): void {
  const now = context.now();
  ifPossible(() => {
    db.forgetEndedSignIns(context.db, now);
    db.forgetAudit(context.db, now - ACCESS.auditDays * DAY_MS);
    db.forgetMail(context.db, now - ACCESS.mailDays * DAY_MS);
  });
}
