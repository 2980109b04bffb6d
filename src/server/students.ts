import { fail, ok, type Result } from '@/core/issue';
import type { KitProfile } from '@/core/kit';
import { PLATEAU_DAYS, plateauOf } from '@/core/ladder';
import {
  dayOf,
  type ItemRecord,
  type Person,
  type PersonId,
  type StudentRecord,
  type StudentSummary,
  type Viewer,
} from '@/core/studio';
import { queries } from '@/db';
import type { Context } from './context';
import { teacherOnly } from './guard';
import { itemRecords } from './practice';

const WHAT = 'student';
const WEEK_MS = 7 * 24 * 3600 * 1000;

/** The studio's students, in the order in which they came. */
export function listRoster(context: Context, viewer: Viewer): Result<readonly Person[]> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const people = queries.listPeople(context.db, viewer.studioId);
  return ok(people.filter((person) => person.role === 'student'));
}

/** The studio's students with what they did this week and where they are stuck. */
export function listStudents(context: Context, viewer: Viewer): Result<readonly StudentSummary[]> {
  const roster = listRoster(context, viewer);
  if (!roster.ok) return roster;
  const since = context.now() - WEEK_MS;
  return ok(
    roster.value.map((student) => {
      const records = itemRecords(context, student.id, viewer);
      const tries = records.flatMap((record) => record.tries);
      const week = tries.filter((one) => one.at >= since);
      return {
        student,
        programs: [...new Set(records.map((record) => record.program))],
        lastDay: tries.reduce<string | null>(
          (last, one) => (last === null || one.day > last ? one.day : last),
          null,
        ),
        triesThisWeek: week.length,
        minutesThisWeek: Math.round(week.reduce((sum, one) => sum + one.seconds, 0) / 60),
        stuck: records.flatMap(stuckOn),
      };
    }),
  );
}

/** Why an item needs the teacher, or nothing: lost at the lowest rung, or no gain for some days. */
function stuckOn({ item, state, reason, tries }: ItemRecord): readonly string[] {
  const { name } = item.exercise;
  if (state.reason.kind === 'simplify') return [`${name}: ${reason}`];
  const plateau = plateauOf(item.course.ladder, item.course.rule, tries);
  if (!plateau || plateau.days < PLATEAU_DAYS) return [];
  return [`${name}: not past ${plateau.bpm} for ${plateau.days} days of practice.`];
}

/** Everything about one student: a teacher sees all of the studio's, a student their own. */
export function getRecord(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
): Result<StudentRecord> {
  const student = queries.findPerson(context.db, studentId);
  const own = viewer.role === 'teacher' || viewer.personId === studentId;
  if (!student || student.studioId !== viewer.studioId || student.role !== 'student') {
    return fail({ code: 'not-found', path: ['id'], what: WHAT });
  }
  if (!own) return fail({ code: 'not-yours', path: ['id'], what: 'record' });
  const zone = queries.findStudio(context.db, viewer.studioId)?.zone ?? 'UTC';
  const { studioId: _, ...person } = student;
  return ok({
    student: person,
    items: itemRecords(context, studentId, viewer),
    today: dayOf(context.now(), zone),
  });
}

/** What a student plays on, and how: handedness and the voices that are there. */
export function setKit(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  kit: KitProfile,
): Result<null> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const student = queries.findPerson(context.db, studentId);
  if (!student || student.studioId !== viewer.studioId || student.role !== 'student') {
    return fail({ code: 'not-found', path: ['id'], what: WHAT });
  }
  queries.setPersonKit(context.db, studentId, kit);
  return ok(null);
}
