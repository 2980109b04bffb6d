import { fail, isRefusal, ok, misfitsOf, type Result } from '@/core/issue';
import { foldItem, isAbout, mayMake, postedSchema, type LoggedTry, type Posted } from '@/core/log';
import {
  parseId,
  type AssignmentId,
  type BatchAnswer,
  type Day,
  type EntryId,
  type ItemId,
  type PersonId,
} from '@/core/studio';
import type { NewEntry, StudentStore } from '@/db';
import { openStudent, type Student, type Teacher } from './authority';
import { forgetProgress, progressOf } from './progress';
import { practiceDay, standItems } from './standing';

/** Most entries of one batch. */
export const MOST_ENTRIES = 500;

/** Puts entries into a student's log, in their order; each is answered for itself. Safe to send twice.
 * One that waited to be sent belongs to the moment at which it was made.
 * @param posted as they came; what cannot be read is refused by itself
 * @returns issues of opening the student; by entry `entry-shape`, `not-yours`, `not-found` for what it is
 * about, `not-asked` for an answer to what is not asked any more */
export function appendEntries(
  me: Teacher | Student,
  studentId: PersonId,
  posted: readonly unknown[],
): Result<BatchAnswer> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  const touched = new Set<ItemId>();
  const answers = allOrNone(store, () =>
    posted.map((one) => {
      const read = postedSchema.safeParse(one);
      const stored = read.success
        ? append(me, store, read.data, touched)
        : fail({ code: 'entry-shape', path: [], misfits: misfitsOf(read.error.issues) });
      return { id: idOf(one), result: stored };
    }),
  );
  const today = practiceDay({ now: me.now, store });
  const items = standItems(progressOf(store), today).filter((one) => touched.has(one.item.id));
  return ok({
    answers,
    items: items.map(({ assignmentId, item, state, recent, why, plays, cues, cue, ...rest }) => {
      const { resting, today: done } = rest;
      const of = { assignmentId, item: { id: item.id } };
      return { ...of, state, recent, why, plays, cues, cue, resting, today: done };
    }),
  });
}

/** Does several things to a log, all or none. */
export function allOrNone<T>(store: StudentStore, run: () => T): T {
  let done = false;
  try {
    const result = store.together(run);
    done = !isRefusal(result);
    return result;
  } finally {
    if (!done) forgetProgress(store);
  }
}

function idOf(posted: unknown): EntryId {
  const id = (posted as { id?: unknown } | null)?.id;
  return (typeof id === 'string' && parseId<'entry'>(id)) || ('' as EntryId);
}

function append(
  me: Teacher | Student,
  store: StudentStore,
  posted: Posted,
  touched: Set<ItemId>,
): Result<null> {
  const { log } = store;
  if (!mayMake(me.role, posted.kind)) {
    return fail({ code: 'not-yours', path: ['kind'], what: 'entry' });
  }
  const stored = log.isMine(posted.id);
  if (stored === false) return fail({ code: 'not-yours', path: ['id'], what: 'entry' });
  const placed = itemOfEntry(store, posted);
  if (!placed.ok) return placed;
  const { since, ...place } = placed.value;
  if (place.itemId) touched.add(place.itemId);
  if (stored) return ok(null);
  if (place.sessionId && log.isMySession(place.sessionId) === false) {
    return fail({ code: 'not-yours', path: ['sessionId'], what: 'session' });
  }
  const asked = stillAsked(store, posted);
  if (!asked.ok) return asked;
  const at = madeAt(me.now(), posted.agoMs, since);
  const day = practiceDay({ now: me.now, store }, at);
  const { kind, id, body } = posted;
  log.insert({ ...place, kind, id, body, by: me.role, at, day });
  return ok(null);
}

/** Puts one entry into a student's log.
 * @returns issues of `appendEntries`, those of the entry among them */
export function appendEntry(
  me: Teacher | Student,
  studentId: PersonId,
  posted: unknown,
): Result<null> {
  const batch = appendEntries(me, studentId, [posted]);
  return batch.ok ? (batch.value.answers[0]?.result ?? ok(null)) : batch;
}

/** When an entry was made, by the clock that is here. One that says it is older than what it is about comes
 * from a clock that was set in between, and belongs to the moment at which it came. */
function madeAt(now: number, agoMs: number, since: number): number {
  const at = Math.round(now - agoMs);
  return at < since ? now : at;
}

type Place = Pick<NewEntry, 'assignmentId' | 'itemId' | 'sessionId' | 'about' | 'hash'> & {
  /** Nothing in it is older than this, in epoch ms. */
  readonly since: number;
};

/** Where an entry belongs: the item that it names, that of the entry it is about, or the student. */
function itemOfEntry(store: StudentStore, posted: Posted): Result<Place> {
  const nowhere = { assignmentId: null, itemId: null, sessionId: null, hash: null };
  if ('itemId' in posted) {
    const { assignmentId, itemId, sessionId } = posted;
    const own = findOwnItem(store, assignmentId, itemId);
    if (!own) return fail({ code: 'not-found', path: ['itemId'], what: 'item' });
    const hash = posted.kind === 'try' ? own.hash : null;
    return ok({ assignmentId, itemId, sessionId, about: null, hash, since: own.givenAt });
  }
  if (!('about' in posted)) return ok({ ...nowhere, about: null, since: 0 });
  const { about } = posted;
  const [of] = store.log.find([about]);
  if (!of || !isAbout(posted.kind, of.kind)) {
    return fail({ code: 'not-found', path: ['about'], what: 'entry' });
  }
  const { assignmentId, itemId, sessionId } = of;
  return ok({ assignmentId, itemId, sessionId, about, hash: null, since: of.at });
}

/** An item of a student in the version that the student has, or had: what was practised before a program
 * was taken back may come in after it.
 * @returns null where it is not theirs */
function findOwnItem(store: StudentStore, assignmentId: AssignmentId, itemId: ItemId) {
  const given = store.findGiven(assignmentId);
  const content = given && store.content(given.programId, given.version);
  const item = content?.outline.sections
    .flatMap((section) => section.items)
    .find((one) => one.id === itemId);
  return given && item ? { hash: item.hash, givenAt: given.givenAt } : null;
}

/** A decision may answer only what is asked now. */
function stillAsked(store: StudentStore, posted: Posted): Result<null> {
  if (posted.kind !== 'decided') return ok(null);
  const { body, itemId } = posted;
  if (body.does !== 'accept' && body.does !== 'decline') return ok(null);
  const found = progressOf(store).items.find((one) => one.item.id === itemId);
  const asks = found?.sums.followed.state.proposal?.kind === body.proposal;
  return asks ? ok(null) : fail({ code: 'not-asked', path: [] });
}

/** Tries of an item before one that is known, latest first, for a log that is read further back.
 * @param before null begins with the latest
 * @returns issues of opening the student */
export function listTries(
  me: Teacher | Student,
  studentId: PersonId,
  itemId: ItemId,
  before: { readonly day: Day; readonly seq: number } | null,
): Result<readonly LoggedTry[]> {
  const store = openStudent(me, studentId);
  if (!store.ok) return store;
  const { tries, said } = store.value.log.triesBefore(itemId, before, TRIES_AT_ONCE);
  const events = foldItem([...tries, ...said]);
  return ok(events.flatMap((one) => (one.kind === 'try' ? [one] : [])).reverse());
}

const TRIES_AT_ONCE = 200;
