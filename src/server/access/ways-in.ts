import { fail, ok, type Result } from '@/core/issue';
import type {
  PersonId,
  Reading,
  Role,
  Speech,
  StudentRecord,
  StudioId,
  WaysIn,
} from '@/core/studio';
import * as db from '@/db';
import type { Pass, StudentStore } from '@/db';
import { asStudent, openStudent, type Student, type Teacher } from '../authority';
import { newId, type Context } from '../context';
import { readName } from '../names';
import { getRecord } from '../students';
import { getSpeech } from '../studios';
import { note } from '../audit';
import { drawnLetters, fourDigits, keyed, sealed, typedLetters, unsealed } from './secret';
import { signInAs, type Browser } from './sign-ins';
import { trying } from './slow-down';

const DAY_MS = 24 * 3_600_000;

/** How long a code waits to be typed. */
const CODE_MS = 3 * DAY_MS;

/** 27 bits: of a studio's codes one in millions is found in a try, and tries are slowed. */
const CODE_LETTERS = 6;

/** Who comes in, and where to. */
export interface Entered {
  readonly token: string;
  readonly role: Role;
}

/** How a student gets in, and who may read their record.
 * @returns issues of opening the student */
export function getWaysIn(me: Teacher, id: PersonId): Result<WaysIn> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const store = opened.value;
  const now = me.now();
  const passes = store.passes.list(['student', 'code', 'reader'], now);
  const link = passes.find(({ kind }) => kind === 'student');
  return ok({
    link: link ? linkOf(link) : null,
    pin: pinOf(store),
    devices: store.signIns.list(now).map((one) => ({ ...one, here: false })),
    codes: passes.flatMap(({ kind, id: code, endsAt }) =>
      kind === 'code' && endsAt !== null ? [{ id: code, endsAt }] : [],
    ),
    readers: passes.flatMap((one) => (one.kind === 'reader' ? [readingOf(one)] : [])),
    teachers: store.teachers(),
    staff: store.staff(),
  });
}

/** The path of a student's private link; null as long as they have none. */
export function linkPathOf(store: StudentStore, now: number): string | null {
  const [pass] = store.passes.list(['student'], now);
  return pass ? linkOf(pass) : null;
}

function linkOf({ id }: Pick<Pass, 'id'>): string {
  return `/s/${sealed('student', id)}`;
}

function readingOf({ id, name, endsAt }: Pick<Pass, 'id' | 'name' | 'endsAt'>): Reading {
  return { id, name, endsAt, path: `/reading/${sealed('reader', id)}` };
}

function pinOf(store: StudentStore): string {
  return fourDigits('pin', `${store.id} ${store.pin()}`);
}

/** The path of a student's private link, made when it is first asked for.
 * @param anew makes another one: the one before opens nothing any more, and who came in by it stays
 * @returns issues of opening the student */
export function openLink(me: Teacher, id: PersonId, anew: boolean): Result<string> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const { passes } = opened.value;
  const [known] = passes.list(['student'], me.now());
  if (known && !anew) return ok(linkOf(known));
  passes.endAll('student');
  const made = newPass(me, 'student');
  passes.insert(made);
  note({ now: me.now, store: opened.value }, 'link-made', me.id, id);
  return ok(linkOf(made));
}

/** A pass that is about to be handed out. */
export function newPass(
  me: { readonly now: () => number },
  kind: Pass['kind'],
  more: Partial<Pick<Pass, 'name' | 'email' | 'hash' | 'endsAt' | 'programId'>> = {},
) {
  const row = { name: '', email: null, hash: null, endsAt: null, programId: null, ...more };
  return { id: newId(me), kind, createdAt: me.now(), ...row };
}

/** Takes a student's link away. */
export function endLink(me: Teacher, id: PersonId): Result<null> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  opened.value.passes.endAll('student');
  note({ now: me.now, store: opened.value }, 'entry-ended', me.id, id);
  return ok(null);
}

/** A code that lets a student in once, with the studio's name. It is told now and kept nowhere.
 * @returns six letters; issues of opening the student */
export function makeCode(me: Teacher, id: PersonId): Result<string> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const code = drawnLetters(CODE_LETTERS);
  opened.value.passes.endAll('code');
  const hash = codeHash(me.store.id, code);
  opened.value.passes.insert(newPass(me, 'code', { hash, endsAt: me.now() + CODE_MS }));
  note({ now: me.now, store: opened.value }, 'code-made', me.id, id);
  return ok(code);
}

function codeHash(studio: StudioId, code: string): string {
  return keyed('code', `${studio} ${code}`);
}

/** Gives a student another number for the studio's tablets. */
export function renewPin(me: Teacher, id: PersonId): Result<string> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const before = pinOf(opened.value);
  do opened.value.setPin(opened.value.pin() + 1);
  while (pinOf(opened.value) === before);
  note({ now: me.now, store: opened.value }, 'code-made', me.id, id);
  return ok(pinOf(opened.value));
}

/** Signs a student out on one device, or on all.
 * @param device null for all of them */
export function endDevice(
  me: Teacher | Student,
  id: PersonId,
  device: string | null,
): Result<null> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  opened.value.signIns.end(device ?? undefined);
  note({ now: me.now, store: opened.value }, 'entry-ended', me.id, id);
  return ok(null);
}

/** Lets somebody, such as a parent, read a student's record.
 * @param days how long; null until it is ended
 * @returns issues of opening the student, `name-missing`, `name-long` */
export function letRead(
  me: Teacher,
  id: PersonId,
  typed: string,
  days: number | null,
): Result<Reading> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const name = readName(typed, 'person');
  if (!name.ok) return name;
  const endsAt = days === null ? null : me.now() + days * DAY_MS;
  const made = newPass(me, 'reader', { name: name.value, endsAt });
  opened.value.passes.insert(made);
  note({ now: me.now, store: opened.value }, 'reader-let-in', me.id, id);
  return ok(readingOf(made));
}

/** Gives a reader another link, good for as long again; the one before opens nothing any more.
 * @returns issues of opening the student, `not-found` */
export function renewReading(me: Teacher, id: PersonId, pass: string): Result<Reading> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const { passes } = opened.value;
  const known = passes.list(['reader'], me.now()).find((one) => one.id === pass);
  if (!known) return fail({ code: 'not-found', path: ['pass'], what: 'link' });
  const { name, createdAt, endsAt } = known;
  const made = newPass(me, 'reader', {
    name,
    endsAt: endsAt === null ? null : me.now() + (endsAt - createdAt),
  });
  passes.insert(made);
  passes.end(pass, ['reader']);
  note({ now: me.now, store: opened.value }, 'reader-let-in', me.id, id);
  return ok(readingOf(made));
}

/** Ends what lets somebody read a record; or a code that waits. @returns issue `not-found` */
export function endReading(me: Teacher, id: PersonId, pass: string): Result<null> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  if (!opened.value.passes.end(pass, ['reader', 'code'])) {
    return fail({ code: 'not-found', path: ['pass'], what: 'link' });
  }
  note({ now: me.now, store: opened.value }, 'entry-ended', me.id, id);
  return ok(null);
}

/** Who a private link lets in, for the page that asks whether it is them; null where it opens nothing. */
export function whoseLink(
  context: Context,
  address: string,
): { readonly personId: PersonId; readonly name: string; readonly studio: string } | null {
  const store = passStore(context, 'student', address);
  return store && { personId: store.id, name: store.person.name, studio: store.studio().name };
}

/** The student whom a sealed address is about. */
function passStore(
  { db: file, now }: Context,
  kind: Pass['kind'],
  address: string,
): StudentStore | null {
  const id = unsealed(kind, address);
  const pass = id === null ? null : db.findPass(file, id, now());
  if (pass?.kind !== kind || pass.personId === null) return null;
  return db.studentStore(file, pass.studioId, pass.personId);
}

/** Signs a student in by their private link. @returns issue `link-over` */
export function enterByLink(context: Context, address: string, browser: Browser): Result<Entered> {
  const store = passStore(context, 'student', address);
  if (!store) return fail({ code: 'link-over', path: [] });
  return ok(enterAs(context, store, browser));
}

function enterAs(
  context: Context,
  store: StudentStore,
  browser: Browser,
  tablet: string | null = null,
): Entered {
  const token = signInAs(context, { personId: store.id, role: 'student' }, browser, tablet);
  note({ now: context.now, store }, 'signed-in', store.id);
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
  const places = { from: browser.address, account: name };
  const got = await trying('code', places, () => {
    for (const door of db.listDoors(context.db)) {
      if (plain(door.name) !== name) continue;
      const pass = db.findPassByHash(context.db, codeHash(door.id, letters), context.now());
      const store =
        pass?.kind === 'code' && pass.personId
          ? db.studentStore(context.db, pass.studioId, pass.personId)
          : null;
      if (pass && store && db.usePass(context.db, pass.id)) return store;
    }
    return null;
  });
  if (!got.ok) return got;
  return got.value
    ? ok(enterAs(context, got.value, browser))
    : fail({ code: 'code-wrong', path: ['code'] });
}

function plain(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ');
}

/** The tablet that a browser is, and who may come in on it; null where it is none. */
export function tabletNow(context: Context, token: string) {
  const found = db.findTablet(context.db, token);
  const door = found && db.listDoors(context.db).find(({ id }) => id === found.studioId);
  if (!found || !door) return null;
  const students = door.people.filter(({ role }) => role === 'student');
  return {
    id: found.id,
    name: found.name,
    studio: door.name,
    students: students.map(({ id, name }) => ({ id, name })),
  };
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
  const store = db.studentStore(context.db, found.studioId, person);
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
  const store = passStore(context, 'reader', address);
  const id = unsealed('reader', address);
  const pass = id === null ? null : db.findPass(context.db, id, context.now());
  if (!store || !pass) return fail({ code: 'link-over', path: [] });
  const me = asStudent(context, { studioId: pass.studioId, role: 'student', personId: store.id });
  if (!me.ok) return me;
  const record = getRecord(me.value, store.id);
  if (!record.ok) return record;
  const { name: studio } = store.studio();
  const { name: reader, endsAt } = pass;
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
  const doors = db.listDoors(context.db).filter(({ demo }) => demo);
  const found = doors.flatMap(({ people }) => people).find(({ id }) => id === personId);
  if (!found) return fail({ code: 'not-found', path: ['person'], what: 'person' });
  const { role } = found;
  return ok({ token: signInAs(context, { personId, role }, browser), role });
}

/** The studios to look around in, and who is there. */
export function listDemo(context: Context): readonly db.StudioDoor[] {
  return db.listDoors(context.db).filter(({ demo }) => demo);
}
