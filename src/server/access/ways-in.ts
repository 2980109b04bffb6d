import { fail, ok, type Result } from '@/core/issue';
import { ACCESS, type PersonId, type Reading, type WaysIn } from '@/core/studio';
import { openWays, type Teacher } from '../authority';
import { readName } from '../names';
import { note } from '../audit';
import { codeHash, linkOf, linkPathOf, newPass, pinOf, readingOf } from './passes';
import { drawnLetters } from './secret';

const DAY_MS = 24 * 3_600_000;

/** 27 bits: of a studio's codes one in millions is found in a try, and tries are slowed. */
const CODE_LETTERS = 6;

/** How a student gets in, and who may read their record.
 * @returns issues of opening the student */
export function getWaysIn(me: Teacher, id: PersonId): Result<WaysIn> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const store = opened.value;
  const now = me.now();
  const passes = store.passes.list(now);
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

/** The path of a student's private link, made when it is first asked for.
 * @param anew makes another one: the one before opens nothing any more, and who came in by it stays
 * @returns issues of opening the student */
export function openLink(me: Teacher, id: PersonId, anew: boolean): Result<string> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const { passes } = opened.value;
  const known = linkPathOf(opened.value, me.now());
  if (known !== null && !anew) return ok(known);
  passes.endAll('student');
  const made = newPass(me, 'student');
  passes.insert(made);
  note({ now: me.now, store: opened.value }, 'linkMade', me.id, id);
  return ok(linkOf(made));
}

/** Takes a student's link away. */
export function endLink(me: Teacher, id: PersonId): Result<null> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  opened.value.passes.endAll('student');
  note({ now: me.now, store: opened.value }, 'entryEnded', me.id, id);
  return ok(null);
}

/** A code that lets a student in once, with the studio's name. It is told now and kept nowhere.
 * @returns six letters; issues of opening the student */
export function makeCode(me: Teacher, id: PersonId): Result<string> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const code = drawnLetters(CODE_LETTERS);
  opened.value.passes.endAll('code');
  const hash = codeHash(me.store.id, code);
  opened.value.passes.insert(
    newPass(me, 'code', { hash, endsAt: me.now() + ACCESS.codeDays * DAY_MS }),
  );
  note({ now: me.now, store: opened.value }, 'codeMade', me.id, id);
  return ok(code);
}

/** Gives a student another number for the studio's tablets. */
export function renewPin(me: Teacher, id: PersonId): Result<string> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const before = pinOf(opened.value);
  do opened.value.setPin(opened.value.pin() + 1);
  while (pinOf(opened.value) === before);
  note({ now: me.now, store: opened.value }, 'codeMade', me.id, id);
  return ok(pinOf(opened.value));
}

/** Signs a student out on one device, or on all.
 * @param device null for all of them */
export function endDevice(me: Teacher, id: PersonId, device: string | null): Result<null> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  opened.value.signIns.end(device ?? undefined);
  note({ now: me.now, store: opened.value }, 'entryEnded', me.id, id);
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
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const name = readName(typed, 'person');
  if (!name.ok) return name;
  const endsAt = days === null ? null : me.now() + days * DAY_MS;
  const made = newPass(me, 'reader', { name: name.value, endsAt });
  opened.value.passes.insert(made);
  note({ now: me.now, store: opened.value }, 'readerLetIn', me.id, id);
  return ok(readingOf(made));
}

/** Gives a reader another link, good for as long again; the one before opens nothing any more.
 * @returns issues of opening the student, `not-found` */
export function renewReading(me: Teacher, id: PersonId, pass: string): Result<Reading> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const { passes } = opened.value;
  const known = passes.list(me.now()).find(({ id: of, kind }) => of === pass && kind === 'reader');
  if (!known) return fail({ code: 'not-found', path: ['pass'], what: 'link' });
  const { name, createdAt, endsAt } = known;
  const made = newPass(me, 'reader', {
    name,
    endsAt: endsAt === null ? null : me.now() + (endsAt - createdAt),
  });
  passes.insert(made);
  passes.end(pass);
  note({ now: me.now, store: opened.value }, 'readerLetIn', me.id, id);
  return ok(readingOf(made));
}

/** Ends what lets somebody read a record; or a code that waits. @returns issue `not-found` */
export function endReading(me: Teacher, id: PersonId, pass: string): Result<null> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  if (!opened.value.passes.end(pass)) {
    return fail({ code: 'not-found', path: ['pass'], what: 'link' });
  }
  note({ now: me.now, store: opened.value }, 'entryEnded', me.id, id);
  return ok(null);
}

/** Who teaches a student, besides. @returns issues of opening the student, `not-found`, `last-teacher` */
export function setTeaching(
  me: Teacher,
  student: PersonId,
  teacher: PersonId,
  teaches: boolean,
): Result<null> {
  const opened = openWays(me, student);
  if (!opened.ok) return opened;
  const { name } = opened.value.student.person;
  if (opened.value.setTeacher(teacher, teaches)) return ok(null);
  return teaches
    ? fail({ code: 'not-found', path: ['teacher'], what: 'teacher' })
    : fail({ code: 'last-teacher', path: ['teacher'], student: name });
}

/** Takes a student and all that is known of them out of the studio file, for good: log, plan, what they were given,
 * links, codes, devices.
 * @param name the student's, typed by whoever wants it
 * @returns issues of opening the student, `name-differs` where the name is not theirs */
export function eraseStudent(me: Teacher, id: PersonId, name: string): Result<null> {
  const opened = openWays(me, id);
  if (!opened.ok) return opened;
  const { person } = opened.value.student;
  if (person.name.trim().toLowerCase() !== name.trim().toLowerCase()) {
    return fail({ code: 'name-differs', path: ['name'], name: person.name });
  }
  opened.value.erase();
  note(me, 'erased', me.id);
  return ok(null);
}
