import { fail, ok, type Result } from '@/core/issue';
import { ACCESS, type Audited, type DeviceLine, type PersonId, type StudioId } from '@/core/studio';
import * as db from '@/db';
import type { SignedIn } from '@/db';
import { asTeacher, type Owner, type Teacher } from '../authority';
import { newId, type Context } from '../context';
import { readName } from '../names';
import { note } from '../audit';
import { isCertainOrigin } from '../hosts';
import { readSettings } from '../settings';
import { post, type KeepMail } from './mail';
import { readEmail, realEmail } from './names';
import { accountFor } from './opening';
import { accountWith, askReset, readPassword, resetWith, setPassword } from './passwords';
import { sealed, unsealed } from './secret';
import { signInAs, type Browser } from './sign-ins';
import { trying } from './slow-down';
import type { Entered } from './entering';
import { newPass } from './passes';

/** Words of mail, in the language of whoever has it sent. */
export type LetterWords = (link: string) => { readonly subject: string; readonly text: string };

/** Signs somebody in by address and password. It takes as long whether there is such an address or not.
 * @returns issues `sign-in-wrong`, `too-many-tries` */
export async function signInWith(
  context: Context,
  typed: { readonly email: string; readonly password: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const email = typed.email.trim().toLowerCase();
  const places = { from: browser.address, account: email };
  const got = await trying('password', places, () =>
    accountWith(context.db, email, typed.password),
  );
  if (!got.ok) return got;
  const [person] = got.value === null ? [] : db.peopleOfAccount(context.db, got.value);
  if (!person) {
    const known = db.accountOfEmail(context.db, email);
    if (known !== null) noteFor(context, known, 'signInFailed');
    return fail({ code: 'sign-in-wrong', path: ['password'] });
  }
  if (got.value !== null) noteFor(context, got.value, 'signedIn');
  const { id: personId, role } = person;
  return ok({ token: signInAs(context, { personId, role }, browser), role });
}

/** Notes something about an account in each of its studios. */
function noteFor(context: Context, accountId: string, kind: Audited): void {
  for (const { id, studioId, role } of db.peopleOfAccount(context.db, accountId)) {
    const me = asTeacher(context, { studioId, personId: id, role });
    if (me.ok) note(me.value, kind, id);
  }
}

/** Signs out on this browser. */
export function signOut(context: Context, { id, accountId }: SignedIn): void {
  db.endSignIns(context.db, accountId, { id });
}

/** Signs out on every browser but this one. */
export function signOutElsewhere(context: Context, me: SignedIn): Result<null> {
  db.endSignIns(context.db, me.accountId, { but: me.id });
  noteFor(context, me.accountId, 'signedOutEverywhere');
  return ok(null);
}

/** Signs out on one browser of the account's. */
export function signOutOn(context: Context, me: SignedIn, id: string): Result<null> {
  db.endSignIns(context.db, me.accountId, { id });
  return ok(null);
}

/** What somebody's own account is. */
export interface OwnAccount {
  /** Null for who came in without one. */
  readonly email: string | null;
  readonly devices: readonly DeviceLine[];
  readonly studios: readonly { readonly person: PersonId; readonly name: string; here: boolean }[];
}

export function getAccount(context: Context, me: SignedIn): OwnAccount {
  return {
    email: realEmail(db.emailOf(context.db, me.accountId)),
    devices: db
      .devicesOfAccount(context.db, me.accountId, context.now())
      .map((one) => ({ ...one, here: one.id === me.id })),
    studios: db.peopleOfAccount(context.db, me.accountId).map(({ id, studio }) => ({
      ...{ person: id, name: studio, here: id === me.personId },
    })),
  };
}

/** Goes by another name from now on. @returns issue `name-missing` */
export function renameMe(me: Teacher, typed: string): Result<null> {
  const name = readName(typed, 'person');
  if (!name.ok) return name;
  me.store.renameMe(name.value);
  return ok(null);
}

/** Looks into another studio of theirs from now on. @returns issue `not-yours` */
export function switchStudio(context: Context, me: SignedIn, to: PersonId): Result<null> {
  return db.switchSignIn(context.db, me, to)
    ? ok(null)
    : fail({ code: 'not-yours', path: [], what: 'page' });
}

/** Changes the password and signs out everywhere else.
 * @returns issues of the new one, `sign-in-wrong` where the present one is not right, `too-many-tries` */
export async function changePassword(
  context: Context,
  me: SignedIn,
  typed: { readonly present: string; readonly password: string },
  browser: Browser,
): Promise<Result<null>> {
  const email = db.emailOf(context.db, me.accountId) ?? '';
  const password = await readPassword(typed.password);
  if (!password.ok) return password;
  const places = { from: browser.address, account: email };
  const got = await trying('password', places, () => accountWith(context.db, email, typed.present));
  if (!got.ok) return got;
  if (got.value === null) return fail({ code: 'sign-in-wrong', path: ['present'] });
  await setPassword(context.db, me.accountId, password.value);
  db.endSignIns(context.db, me.accountId, { but: me.id });
  noteFor(context, me.accountId, 'passwordChanged');
  return ok(null);
}

/** Has a link mailed that sets a password anew, where an account has the address; who asks is not told.
 * The link leads to the studio's address, or to where we were asked where that is ours for certain; else it is a path.
 * @param origin where this Mivvel was asked
 * @returns issues `email`, `too-many-tries` */
export async function forgotPassword(
  context: Context,
  typed: string,
  { origin, words }: { readonly origin: string; readonly words: LetterWords },
  browser: Browser,
): Promise<Result<null>> {
  const email = readEmail(typed);
  if (!email.ok) return email;
  // Each request counts, whether there is such an address or not.
  const places = { from: browser.address, account: email.value };
  const got = await trying('mail', places, () => null);
  if (!got.ok) return got;
  await askReset(context.db, email.value, (to, token) => {
    const account = db.accountOfEmail(context.db, to);
    const [person] = account === null ? [] : db.peopleOfAccount(context.db, account);
    if (!person) return;
    const certain = isCertainOrigin(origin, readSettings(process.env).MIVVEL_HOSTS);
    const letter = { to, ...words(`${person.address ?? (certain ? origin : '')}/reset/${token}`) };
    // Nobody waits for the mail: how long it takes would tell that there is one.
    const keep: KeepMail = (row) => db.keepMail(context.db, person.studioId, row);
    void post(context.now, keep, letter);
  });
  return ok(null);
}

/** The path of a link that sets a password anew, for whoever runs Mivvel to hand over.
 * @returns issue `not-found` where nobody has the address */
export async function passwordLink(context: Context, typed: string): Promise<Result<string>> {
  const email = readEmail(typed);
  if (!email.ok) return email;
  let path: string | null = null;
  await askReset(context.db, email.value, (_, token) => {
    path = `/reset/${token}`;
  });
  return path === null ? fail({ code: 'not-found', path: ['email'], what: 'person' }) : ok(path);
}

/** Sets a password by a link, and signs out everywhere. @returns issues of the password, `link-over` */
export async function resetPassword(
  context: Context,
  typed: { readonly token: string; readonly password: string },
): Promise<Result<null>> {
  const password = await readPassword(typed.password);
  if (!password.ok) return password;
  const account = await resetWith(context.db, typed.token, password.value);
  if (!account.ok) return account;
  db.endSignIns(context.db, account.value);
  noteFor(context, account.value, 'passwordReset');
  return ok(null);
}

const DAY_MS = 24 * 3_600_000;

/** Invites a teacher by mail. @returns the path of the invitation; issues `email`, `teaches-here` */
export function inviteTeacher(
  me: Owner,
  typed: string,
  { origin, words }: { readonly origin: string; readonly words: LetterWords },
): Result<string> {
  const email = readEmail(typed);
  if (!email.ok) return email;
  const made = newPass(me, 'teacher', {
    email: email.value,
    endsAt: me.now() + ACCESS.invitationDays * DAY_MS,
  });
  if (me.owned.staff().some((one) => one.email === email.value)) {
    return fail({ code: 'teaches-here', path: ['email'], email: email.value });
  }
  me.owned.invitations.insert(made);
  const path = `/invitation/${sealed('teacher', made.id)}`;
  void post(me.now, me.owned.keepMail, { to: email.value, ...words(origin + path) });
  note(me, 'invited', me.id);
  return ok(path);
}

/** Takes an invitation back. @returns issue `not-found` */
export function endInvitation(me: Owner, id: string): Result<null> {
  return me.owned.invitations.end(id)
    ? ok(null)
    : fail({ code: 'not-found', path: ['pass'], what: 'link' });
}

/** What an invitation says; null where it opens nothing (any more). */
export function invitationOf(
  context: Context,
  address: string,
): {
  readonly id: string;
  readonly studioId: StudioId;
  readonly studio: string;
  readonly email: string;
  /** Whether the address has an account already, whose password is asked for. */
  readonly known: boolean;
} | null {
  const id = unsealed('teacher', address);
  const pass = id === null ? null : db.findPass(context.db, id, context.now());
  const door = pass && db.listStudios(context.db).find((one) => one.id === pass.studioId);
  if (pass?.kind !== 'teacher' || !door || pass.email === null) return null;
  const known = db.accountOfEmail(context.db, pass.email) !== null;
  return { id: pass.id, studioId: door.id, studio: door.name, email: pass.email, known };
}

/** A teacher comes in by an invitation, once.
 * @returns issues of name and password, `link-over`, `teaches-here` */
export async function acceptInvitation(
  context: Context,
  typed: { readonly address: string; readonly name: string; readonly password: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const invited = invitationOf(context, typed.address);
  if (!invited) return fail({ code: 'link-over', path: [] });
  const name = readName(typed.name, 'teacher');
  if (!name.ok) return name;
  const credentials = { email: invited.email, password: typed.password };
  const account = await accountFor(context, credentials, browser);
  if (!account.ok) return account;
  const { studioId, email } = invited;
  const there = db.peopleOfAccount(context.db, account.value);
  if (there.some((one) => one.studioId === studioId)) {
    return fail({ code: 'teaches-here', path: ['name'], email });
  }
  const personId = newId<'person'>(context);
  const teacher = { id: personId, name: name.value, studioId, accountId: account.value };
  if (!db.joinStudio(context.db, invited.id, teacher)) {
    return fail({ code: 'link-over', path: [] });
  }
  const me = asTeacher(context, { studioId, role: 'teacher', personId });
  if (me.ok) note(me.value, 'joined', personId);
  return ok({
    token: signInAs(context, { personId, role: 'teacher' }, browser),
    role: 'teacher',
  });
}
