import { fail, ok, type Result } from '@/core/issue';
import { ACCESS, type PersonId, type Role, type Speech, type StudentRecord } from '@/core/studio';
import * as db from '@/db';
import type { Pass, WaysStore } from '@/db';
import { asStudent } from '../authority';
import type { Context } from '../context';
import { getRecord } from '../students';
import { getSpeech } from '../studios';
import { note } from '../audit';
import { codeHash, pinOf } from './passes';
import { typedLetters, unsealed } from './secret';
import { signInAs, type Browser } from './sign-ins';
import { trying } from './slow-down';

/** Who comes in, and where to. */
export interface Entered {
  readonly token: string;
  readonly role: Role;
}

/** Who a private link lets in, for the page that asks whether it is them; null where it opens nothing. */
export function whoseLink(
  context: Context,
  address: string,
): { readonly personId: PersonId; readonly name: string; readonly studio: string } | null {
  const student = openPass(context, 'student', address)?.ways.student;
  if (!student) return null;
  return { personId: student.id, name: student.person.name, studio: student.studio().name };
}

/** The pass that a sealed address is, and the student whom it is about; null where it opens nothing (any more). */
function openPass(
  { db: file, now }: Context,
  kind: Pass['kind'],
  address: string,
): { readonly pass: Pass; readonly ways: WaysStore } | null {
  const id = unsealed(kind, address);
  const pass = id === null ? null : db.findPass(file, id, now());
  if (pass?.kind !== kind || pass.personId === null) return null;
  const ways = db.waysStore(file, pass.studioId, pass.personId);
  return ways && { pass, ways };
}

/** Signs a student in by their private link. @returns issue `link-over` */
export function enterByLink(context: Context, address: string, browser: Browser): Result<Entered> {
  const found = openPass(context, 'student', address);
  if (!found) return fail({ code: 'link-over', path: [] });
  return ok(enterAs(context, found.ways, browser));
}

function enterAs(
  context: Context,
  store: WaysStore,
  browser: Browser,
  tablet: string | null = null,
): Entered {
  const token = signInAs(context, { personId: store.id, role: 'student' }, browser, tablet);
  note({ now: context.now, store }, 'signedIn', store.id);
  return { token, role: 'student' };
}

/** Signs a student in by a code, once.
 * @param studio its name, in any letters
 * @returns issues `code-wrong`, `too-many-tries` */
export async function enterByCode(
  context: Context,
  { studio, code }: { readonly studio: string; readonly code: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const name = plain(studio);
  const letters = typedLetters(code);
  // Whatever studios are named: else names that somebody makes up would each be counted, and kept.
  const got = await trying('code', { from: browser.address, account: '' }, () => {
    for (const door of db.listStudios(context.db)) {
      if (plain(door.name) !== name) continue;
      const pass = db.findPassByHash(context.db, codeHash(door.id, letters), context.now());
      const store =
        pass?.kind === 'code' && pass.personId
          ? db.waysStore(context.db, pass.studioId, pass.personId)
          : null;
      if (pass && store && db.usePass(context.db, pass.id)) return store;
    }
    return null;
  });
  if (!got.ok) return got;
  return got.value
    ? ok(enterAs(context, got.value, browser))
    : fail({ code: 'code-wrong', path: ['code'], days: ACCESS.codeDays });
}

function plain(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ');
}

/** The tablet that a browser is, and who may come in on it; null where it is none. */
export function tabletNow(context: Context, token: string) {
  const found = db.findTablet(context.db, token);
  const studio = found && db.listStudios(context.db).find(({ id }) => id === found.studioId);
  if (!found || !studio) return null;
  const students = db.namesOfStudents(context.db, studio.id);
  return { id: found.id, name: found.name, studio: studio.name, students };
}

/** Signs a student in on the studio's tablet, by their number.
 * @param tablet what the tablet's cookie holds
 * @returns issues `pin-wrong`, `too-many-tries`, `link-over` where it is no tablet of a studio's */
export async function enterByPin(
  context: Context,
  tablet: string,
  { person, pin }: { readonly person: PersonId; readonly pin: string },
  browser: Browser,
): Promise<Result<Entered>> {
  const found = db.findTablet(context.db, tablet);
  if (!found) return fail({ code: 'link-over', path: [] });
  const store = db.waysStore(context.db, found.studioId, person);
  const got = await trying('pin', { from: person, account: found.id }, () =>
    store && pinOf(store) === pin.trim() ? store : null,
  );
  if (!got.ok) return got;
  return got.value
    ? ok(enterAs(context, got.value, browser, found.id))
    : fail({ code: 'pin-wrong', path: ['pin'] });
}

/** The record that a reader's link opens, for whoever holds it; to be read and nothing else.
 * @returns issue `link-over` */
export function readByLink(context: Context, address: string): Result<Read> {
  const found = openPass(context, 'reader', address);
  if (!found) return fail({ code: 'link-over', path: [] });
  const { studioId, name: reader, endsAt } = found.pass;
  const { id } = found.ways;
  const me = asStudent(context, { studioId, role: 'student', personId: id });
  if (!me.ok) return me;
  const record = getRecord(me.value, id);
  if (!record.ok) return record;
  const { name: studio } = found.ways.student.studio();
  return ok({ record: record.value, speech: getSpeech(me.value), studio, reader, endsAt });
}

interface Read {
  readonly record: StudentRecord;
  readonly speech: Speech;
  readonly studio: string;
  /** Who it was made for. */
  readonly reader: string;
  readonly endsAt: number | null;
}

/** Signs anybody of a studio to look around in in; nobody of any other. @returns issue `not-found` */
export function enterDemo(context: Context, personId: PersonId, browser: Browser): Result<Entered> {
  const found = listDemo(context)
    .flatMap(({ people }) => people)
    .find(({ id }) => id === personId);
  if (!found) return fail({ code: 'not-found', path: ['person'], what: 'person' });
  const { role } = found;
  return ok({ token: signInAs(context, { personId, role }, browser), role });
}

/** The studios to look around in, and who is there. */
export function listDemo(context: Context): readonly db.StudioDoor[] {
  return db.listDoors(context.db, true);
}
