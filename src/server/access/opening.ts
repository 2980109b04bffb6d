import { fail, ok, type Issue, type Result } from '@/core/issue';
import type { PersonId, StudioId } from '@/core/studio';
import * as db from '@/db';
import { asTeacher, type Owner } from '../authority';
import { newId, type Context } from '../context';
import { openStudio } from '../studios';
import { note } from '../audit';
import { readEmail } from './names';
import { accountWith, hashed, readPassword } from './passwords';
import { drawnLetters, typedLetters } from './secret';
import { signInAs, type Browser } from './sign-ins';
import { trying } from './slow-down';
import type { Entered } from './ways-in';

/** Letters of the code that stands where Mivvel runs; 45 bits. */
const SETUP_LETTERS = 10;

const held = globalThis as { mivvelSetup?: string };

/** The code that whoever runs Mivvel reads in its terminal: with it the first studio is opened, and studios of before
 * there were accounts are claimed. Another one at each start. */
export function setupCode(): string {
  return (held.mivvelSetup ??= drawnLetters(SETUP_LETTERS));
}

/** What is to be set up: studios that wait for their owner, and whether the first one may be opened. */
export interface Setup {
  readonly unclaimed: readonly { readonly id: StudioId; readonly name: string }[];
  readonly first: boolean;
}

/** @returns null where nothing is to be set up */
export function setupNow(context: Context): Setup | null {
  const unclaimed = db.listUnclaimed(context.db).map(({ id, name }) => ({ id, name }));
  const own = db.listDoors(context.db).filter(({ demo }) => !demo);
  const first = own.length === 0;
  return first || unclaimed.length > 0 ? { unclaimed, first } : null;
}

/** Whether somebody has read the code in the terminal. @returns issues `setup-code`, `too-many-tries` */
export async function maySetUp(code: string, { address }: Browser): Promise<Result<null>> {
  const typed = typedLetters(code);
  const places = { from: address, account: 'setup' };
  const got = await trying('setup', places, () => (typed === setupCode() ? true : null));
  if (!got.ok) return got;
  return got.value ? ok(null) : fail({ code: 'setup-code', path: ['code'] });
}

interface Credentials {
  readonly email: string;
  readonly password: string;
}

/** The account that somebody goes by from now on: a new one, or theirs where the address has one and the password is
 * right. @returns issues of the address and of the password, `sign-in-wrong` where the password is not theirs */
export async function accountFor(
  context: Context,
  typed: Credentials,
  { address }: Browser,
): Promise<Result<string>> {
  const email = readEmail(typed.email);
  if (!email.ok) return email;
  if (db.accountOfEmail(context.db, email.value) !== null) {
    const places = { from: address, account: email.value };
    const got = await trying('password', places, () =>
      accountWith(context.db, email.value, typed.password),
    );
    if (!got.ok) return got;
    return got.value === null ? fail({ code: 'sign-in-wrong', path: ['password'] }) : ok(got.value);
  }
  const password = await readPassword(typed.password);
  if (!password.ok) return password;
  const hash = await hashed(context.db, password.value);
  const row = { id: newId(context), email: email.value, hash, now: context.now() };
  return db.insertAccount(context.db, row)
    ? ok(row.id)
    : fail({ code: 'sign-in-wrong', path: ['password'] });
}

/** Opens the first studio, with the code of the terminal.
 * @returns the owner, signed in; issues of what was typed, `not-yours` where a studio is open already */
export async function openFirst(
  context: Context,
  typed: Credentials & { code: string; studio: string; teacher: string; zone: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const may = await maySetUp(typed.code, browser);
  if (!may.ok) return may;
  if (!setupNow(context)?.first) return fail({ code: 'not-yours', path: [], what: 'page' });
  const names = namesOf(typed);
  if (names.length > 0) return fail(...names);
  const account = await accountFor(context, typed, browser);
  if (!account.ok) return account;
  const opened = openStudio(context, typed);
  if (!opened.ok) return opened;
  return ok(ownerIn(context, opened.value, account.value, browser, 'opened'));
}

/** Names are looked at before an account is made. */
function namesOf({ studio, teacher }: { studio: string; teacher: string }): readonly Issue[] {
  const missing = (name: string) => name.trim() === '' || name.trim().length > 80;
  return [
    ...(missing(studio)
      ? [{ code: 'name-missing', path: ['studio'], what: 'studio' } as const]
      : []),
    ...(missing(teacher)
      ? [{ code: 'name-missing', path: ['teacher'], what: 'teacher' } as const]
      : []),
  ];
}

function ownerIn(
  context: Context,
  personId: PersonId,
  accountId: string,
  browser: Browser,
  how: 'opened' | 'claimed',
): Entered {
  db.bindAccount(context.db, accountId, personId);
  const viewer = db.findViewer(context.db, personId);
  const me = asTeacher(context, viewer);
  if (me.ok) note(me.value, how, personId);
  return { token: signInAs(context, { personId, role: 'owner' }, browser), role: 'owner' };
}

/** Sets the owner's password of a studio of before there were accounts, with the code of the terminal.
 * @returns the owner, signed in; issues of what was typed, `not-found` for a studio that waits for nobody */
export async function claimStudio(
  context: Context,
  typed: Credentials & { code: string; studio: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const may = await maySetUp(typed.code, browser);
  if (!may.ok) return may;
  const waiting = () => db.listUnclaimed(context.db).find(({ id }) => id === typed.studio);
  if (!waiting()) return fail({ code: 'not-found', path: ['studio'], what: 'studio' });
  const account = await accountFor(context, typed, browser);
  if (!account.ok) return account;
  const found = waiting();
  if (!found) return fail({ code: 'not-found', path: ['studio'], what: 'studio' });
  return ok(ownerIn(context, found.owner, account.value, browser, 'claimed'));
}

/** Opens another studio, for an owner who is signed in. @returns who they are there */
export function openAnother(
  me: Owner,
  accountId: string,
  typed: { studio: string; teacher: string; zone: string },
): Result<PersonId> {
  const opened = openStudio(me.context, typed);
  if (!opened.ok) return opened;
  db.bindAccount(me.context.db, accountId, opened.value);
  return opened;
}
