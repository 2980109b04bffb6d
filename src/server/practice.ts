import { fail, ok, type Result } from '@/core/issue';
import { reasonText, replay } from '@/core/ladder';
import {
  dayOf,
  type ItemId,
  type ItemRecord,
  type LoggedTry,
  type PersonId,
  type StandItem,
  type StoredTry,
  type SufferedInput,
  type TryInput,
  type Viewer,
} from '@/core/studio';
import { queries } from '@/db';
import type { Context } from './context';
import { studentOnly } from './guard';

/** Every item that a student has, in the order of programs and items, replayed from the log. The
 * log belongs to student and item: a program taken back and given again goes on where it was. */
export function itemRecords(context: Context, studentId: PersonId, viewer: Viewer): ItemRecord[] {
  const { db } = context;
  const today = practiceDay(context, viewer);
  const tries = new Map<ItemId, LoggedTry[]>();
  for (const one of queries.listTries(db, studentId)) {
    const log = tries.get(one.itemId);
    if (log) log.push(one);
    else tries.set(one.itemId, [one]);
  }
  return queries
    .listGiven(db, viewer.studioId)
    .filter((given) => given.studentId === studentId)
    .flatMap(({ assignmentId, programId }) => {
      const program = queries.findProgram(db, viewer.studioId, programId);
      return queries.listItems(db, programId).map((item): ItemRecord => {
        const log: readonly LoggedTry[] = tries.get(item.id) ?? [];
        const state = replay(item.course.ladder, item.course.rule, log);
        const ofToday = log.filter((one) => one.day === today);
        return {
          assignmentId,
          program: program?.name ?? '',
          item,
          state,
          reason: reasonText(state, item.course.rule),
          today: {
            tries: ofToday.length,
            seconds: ofToday.reduce((sum, one) => sum + one.seconds, 0),
          },
          tries: log,
        };
      });
    });
}

/** The calendar day in the studio's zone. */
export function practiceDay(context: Context, viewer: Viewer): string {
  const zone = queries.findStudio(context.db, viewer.studioId)?.zone ?? 'UTC';
  return dayOf(context.now(), zone);
}

/** What the student has to do, in order. */
export function getToday(context: Context, viewer: Viewer): Result<readonly StandItem[]> {
  const refused = studentOnly(viewer, 'page');
  if (refused) return refused;
  return ok(itemRecords(context, viewer.personId, viewer));
}

/** Stores a finished try and says where the ladder stands then. Safe to send twice.
 * @returns issue `not-found` for an item that is not on this student's stand */
export function logTry(context: Context, viewer: Viewer, input: TryInput): Result<StoredTry> {
  const refused = studentOnly(viewer, 'stand');
  if (refused) return refused;
  const { db } = context;
  const given = queries.findGiven(db, viewer.studioId, input.assignmentId);
  const item = queries.findItem(db, viewer.studioId, input.itemId);
  if (
    !given ||
    !item ||
    given.studentId !== viewer.personId ||
    item.programId !== given.programId
  ) {
    return fail({ code: 'not-found', path: ['item'], what: 'item' });
  }
  const sessionOf = queries.findSessionStudent(db, input.sessionId);
  if (sessionOf !== null && sessionOf !== viewer.personId) {
    return fail({ code: 'not-yours', path: ['session'], what: 'session' });
  }
  queries.insertTry(
    db,
    { ...input, hash: queries.findExerciseHash(db, item.exerciseId) },
    {
      studioId: viewer.studioId,
      studentId: viewer.personId,
      at: context.now(),
      day: practiceDay(context, viewer),
    },
  );
  const course = queries.findCourse(db, input.itemId);
  if (!course) return fail({ code: 'not-found', path: ['item'], what: 'item' });
  const log = queries.listTries(db, viewer.personId, input.itemId);
  const state = replay(course.ladder, course.rule, log);
  return ok({ state, reason: reasonText(state, course.rule) });
}

/** Adds what suffered to a try that is stored. Safe to send twice. */
export function logSuffered(context: Context, viewer: Viewer, input: SufferedInput): Result<null> {
  const refused = studentOnly(viewer, 'stand');
  if (refused) return refused;
  const of = queries.findTry(context.db, viewer.personId, input.tryId);
  if (!of) return fail({ code: 'not-found', path: ['try'], what: 'try' });
  queries.insertSuffered(context.db, input, of, {
    studioId: viewer.studioId,
    studentId: viewer.personId,
    at: context.now(),
    day: practiceDay(context, viewer),
  });
  return ok(null);
}
