import { fail, ok, type Result } from '@/core/issue';
import type { PersonId, StudioId } from '@/core/studio';
import * as db from '@/db';
import type { SignedIn } from '@/db';
import { asOwner, asTeacher } from '../authority';
import { newId, type Context } from '../context';
import { openStudio, readStudioNames } from '../studios';
import { note } from '../audit';
import { readEmail } from './names';
import { accountWith, hashed, readPassword } from './passwords';
import { drawnLetters, typedLetters } from './secret';
import { signInAs, type Browser } from './sign-ins';
import { trying } from './slow-down';
import type { Entered } from './entering';

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
  /** Whether there is a studio that people come in to already. */
  readonly open: boolean;
}

/** @returns null where nothing is to be set up */
export function setupNow(context: Context): Setup | null {
  const unclaimed = db.listUnclaimed(context.db).map(({ id, name }) => ({ id, name }));
  const own = db.listStudios(context.db).filter(({ demo }) => !demo);
  const first = own.length === 0;
  if (!first && unclaimed.length === 0) return null;
  return { unclaimed, first, open: own.length > unclaimed.length };
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

/** Opens the first studio, with the code of the terminal; without a name it is called as its teacher.
 * @returns the owner, signed in; issues of what was typed, `not-yours` where a studio is open already */
export async function openFirst(
  context: Context,
  asked: Credentials & { code: string; studio: string; teacher: string; zone: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const typed = { ...asked, studio: asked.studio.trim() || asked.teacher };
  const may = await maySetUp(typed.code, browser);
  if (!may.ok) return may;
  const isFirst = () => setupNow(context)?.first ?? false;
  const over = fail({ code: 'not-yours', path: [], what: 'page' });
  if (!isFirst()) return over;
  const names = readStudioNames(typed);
  if (!names.ok) return names;
  const account = await accountFor(context, typed, browser);
  if (!account.ok) return account;
  // Somebody else may have been as far meanwhile.
  if (!isFirst()) return over;
  const opened = openFor(context, account.value, typed);
  return opened.ok ? ok(ownerIn(context, opened.value, browser, 'opened')) : opened;
}

/** Opens a studio, whose owner an account signs in as. */
function openFor(
  context: Context,
  accountId: string,
  typed: { studio: string; teacher: string; zone: string },
): Result<PersonId> {
  return db.together(context.db, () => {
    const opened = openStudio(context, typed);
    if (opened.ok) db.bindAccount(context.db, accountId, opened.value);
    return opened;
  });
}

function ownerIn(
  context: Context,
  personId: PersonId,
  browser: Browser,
  how: 'opened' | 'claimed',
): Entered {
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
  db.bindAccount(context.db, account.value, found.owner);
  return ok(ownerIn(context, found.owner, browser, 'claimed'));
}

/** Opens another studio, for an owner who is signed in.
 * @returns who they are there; issue `not-yours` for anybody but an owner */
export function openAnother(
  context: Context,
  signedIn: SignedIn,
  typed: { studio: string; teacher: string; zone: string },
): Result<PersonId> {
  const owner = asOwner(context, signedIn);
  return owner.ok ? openFor(context, signedIn.accountId, typed) : owner;
}
