import { fail, ok, type Result } from '@/core/issue';
import {
  dayOf,
  type AssignmentId,
  type BrokeInput,
  type Day,
  type ItemId,
  type ItemRecord,
  type PersonId,
  type RemarkInput,
  type StandItem,
  type StoredTry,
  type SufferedInput,
  type TryInput,
  type Viewer,
} from '@/core/studio';
import { queries } from '@/db';
import type { Context } from './context';
import { studentOnly } from './guard';
import { standingOf, standingsOf } from './standing';

/** The calendar day of an instant in the studio's zone; of now when left out. */
export function practiceDay(context: Context, viewer: Viewer, at = context.now()): Day {
  const zone = queries.findStudio(context.db, viewer.studioId)?.zone ?? 'UTC';
  return dayOf(at, zone);
}

/** What the student has to do, in order. */
export function getToday(context: Context, viewer: Viewer): Result<readonly StandItem[]> {
  const refused = studentOnly(viewer, 'page');
  if (refused) return refused;
  const student = queries.findPerson(context.db, viewer.personId);
  if (!student) return fail({ code: 'not-found', path: [], what: 'student' });
  const today = practiceDay(context, viewer);
  const standings = standingsOf({ context, viewer, student, today });
  return ok(standings.map(({ record }) => standItemOf(record)));
}

/** A record without its history. */
export function standItemOf({
  whole: _w,
  tries: _t,
  decisions: _d,
  ...rest
}: ItemRecord): StandItem {
  return rest;
}

/** An item of a student in the version that the student has; null when it is not theirs. */
export function findOwnItem(
  context: Context,
  viewer: Viewer,
  of: { studentId: PersonId; assignmentId: AssignmentId; itemId: ItemId },
) {
  const { db } = context;
  const given = queries.findGiven(db, viewer.studioId, of.assignmentId);
  if (!given || given.student.id !== of.studentId) return null;
  const content = queries.findContent(db, given.programId, given.version);
  const section = content?.outline.sections.find((one) =>
    one.items.some((item) => item.id === of.itemId),
  );
  const item = section?.items.find((one) => one.id === of.itemId);
  const recipe = content?.recipes[of.itemId];
  if (!section || !item || !recipe) return null;
  return { given, item, recipe, section: section.name };
}

type OwnItem = NonNullable<ReturnType<typeof findOwnItem>>;

/** Where an item of a student stands now. */
export function recordOf(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  own: OwnItem,
): ItemRecord {
  const kit = queries.findPerson(context.db, studentId)?.kit ?? null;
  const log = queries.listLog(context.db, studentId, own.item.id).get(own.item.id);
  const today = practiceDay(context, viewer);
  return standingOf({ ...own, program: '', kit, today }, log).record;
}

/** Stores a finished try and says where the ladder stands then. Safe to send twice. One that waited
 * to be sent belongs to the moment at which it was played.
 * @returns issue `not-found` for an item that is not on this student's stand */
export function logTry(context: Context, viewer: Viewer, input: TryInput): Result<StoredTry> {
  const refused = studentOnly(viewer, 'stand');
  if (refused) return refused;
  const { db } = context;
  const studentId = viewer.personId;
  const own = findOwnItem(context, viewer, { studentId, ...input });
  if (!own) return fail({ code: 'not-found', path: ['item'], what: 'item' });
  const sessionOf = queries.findSessionStudent(db, input.sessionId);
  if (sessionOf !== null && sessionOf !== studentId) {
    return fail({ code: 'not-yours', path: ['session'], what: 'session' });
  }
  const { agoMs, ...entry } = input;
  const at = Math.round(context.now() - agoMs);
  const day = practiceDay(context, viewer, at);
  const stored = { studioId: viewer.studioId, studentId, at, day };
  queries.insertTries(db, [{ entry: { ...entry, hash: own.item.hash }, context: stored }]);
  return ok(storedOf(recordOf(context, viewer, studentId, own)));
}

/** Adds what suffered to a try that is stored, and says where the ladder stands then. Safe to send
 * twice. */
export function logSuffered(
  context: Context,
  viewer: Viewer,
  input: SufferedInput,
): Result<StoredTry | null> {
  return addToTry(context, viewer, input, (of, stored) =>
    queries.insertSuffered(context.db, input, of, stored),
  );
}

/** Adds the beat on which a stored try broke. Safe to send twice. */
export function logBroke(
  context: Context,
  viewer: Viewer,
  input: BrokeInput,
): Result<StoredTry | null> {
  return addToTry(context, viewer, input, (of, stored) =>
    queries.insertBroke(context.db, input, of, stored),
  );
}

/** Adds what the student wrote about a stored try. Safe to send twice; the last word counts. */
export function logRemark(
  context: Context,
  viewer: Viewer,
  input: RemarkInput,
): Result<StoredTry | null> {
  return addToTry(context, viewer, input, (of, stored) =>
    queries.insertRemark(context.db, input, of, stored),
  );
}

function addToTry(
  context: Context,
  viewer: Viewer,
  { tryId }: Pick<SufferedInput, 'tryId'>,
  insert: (
    of: NonNullable<ReturnType<typeof queries.findEntry>>,
    stored: Parameters<typeof queries.insertSuffered>[3],
  ) => void,
): Result<StoredTry | null> {
  const refused = studentOnly(viewer, 'stand');
  if (refused) return refused;
  const studentId = viewer.personId;
  const of = queries.findEntry(context.db, studentId, tryId, 'try');
  if (!of) return fail({ code: 'not-found', path: ['try'], what: 'try' });
  const { studioId } = viewer;
  insert(of, { studioId, studentId, at: context.now(), day: practiceDay(context, viewer) });
  const own = findOwnItem(context, viewer, { studentId, ...placeOf(of) });
  return ok(own ? storedOf(recordOf(context, viewer, studentId, own)) : null);
}

function placeOf({ assignmentId, itemId }: { assignmentId: AssignmentId; itemId: ItemId }) {
  return { assignmentId, itemId };
}

function storedOf({ state, reason, plays }: ItemRecord): StoredTry {
  return { state, reason, plays };
}
