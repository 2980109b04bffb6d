import { fail, ok, type Result } from '@/core/issue';
import type { KitProfile } from '@/core/kit';
import { needsOf, type ItemStanding, type Need } from '@/core/roster';
import {
  daysAfter,
  type Day,
  type Person,
  type PersonId,
  type StudentRecord,
  type StudentSummary,
  type Viewer,
  type WeakPlace,
} from '@/core/studio';
import { queries } from '@/db';
import type { Context } from './context';
import { teacherOnly } from './guard';
import { practiceDay } from './practice';
import { sayWeakPlace, standingsOf, weakPlaces, type Standing } from './standing';

const WHAT = 'student';

/** The studio's students, in the order in which they came. */
export function listRoster(context: Context, viewer: Viewer): Result<readonly Person[]> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const people = queries.listPeople(context.db, viewer.studioId);
  return ok(people.filter((person) => person.role === 'student'));
}

/** The studio's students, the one who needs the teacher most first, with what they did this week. */
export function listStudents(context: Context, viewer: Viewer): Result<readonly StudentSummary[]> {
  const roster = listRoster(context, viewer);
  if (!roster.ok) return roster;
  const today = practiceDay(context, viewer);
  const students = roster.value;
  const latest = queries.latestEntries(
    context.db,
    students.map((one) => one.id),
  );
  const given = programsByStudent(context, viewer);
  const summaries = students.map((student) => {
    const held = given.get(student.id) ?? '';
    const key = `${latest.get(student.id) ?? 0} ${today} ${held} ${JSON.stringify(student)}`;
    return cachedSummary(context, student.id, key, () =>
      summaryOf(student, standingsOf({ context, viewer, student, today }), today),
    );
  });
  return ok(summaries.sort((a, b) => b.urgency - a.urgency));
}

/** What every student holds, as a text that changes when it does. */
function programsByStudent(context: Context, viewer: Viewer): ReadonlyMap<PersonId, string> {
  const held = new Map<PersonId, string>();
  const revisions = new Map<string, number>();
  for (const { student, programId, version, starts } of queries.listGiven(
    context.db,
    viewer.studioId,
  )) {
    const of = `${programId} ${version}`;
    let revision = revisions.get(of);
    if (revision === undefined) {
      revision = queries.findContent(context.db, programId, version)?.revision ?? 0;
      revisions.set(of, revision);
    }
    const text = `${of} ${revision} ${JSON.stringify(starts)}`;
    held.set(student.id, `${held.get(student.id) ?? ''}, ${text}`);
  }
  return held;
}

/** A student is summed up again only once something about them has changed. */
const SUMMARIES = new WeakMap<
  Context['db'],
  Map<PersonId, { readonly key: string; readonly summary: StudentSummary }>
>();

function cachedSummary(
  context: Context,
  id: PersonId,
  key: string,
  make: () => StudentSummary,
): StudentSummary {
  const known = SUMMARIES.get(context.db) ?? new Map();
  SUMMARIES.set(context.db, known);
  const found = known.get(id);
  if (found?.key === key) return found.summary;
  const summary = make();
  known.set(id, { key, summary });
  return summary;
}

function summaryOf(student: Person, standings: readonly Standing[], today: Day): StudentSummary {
  const records = standings.map((one) => one.record);
  const tries = records.flatMap((record) => record.tries);
  const since = daysAfter(today, -6);
  const week = tries.filter((one) => one.day >= since);
  const lastDay = lastDayOf(standings);
  const needs = needsFor(standings, weakPlaces(standings), today);
  return {
    student,
    programs: [...new Set(records.map((record) => record.program))],
    lastDay,
    triesThisWeek: week.length,
    minutesThisWeek: Math.round(week.reduce((sum, one) => sum + one.seconds, 0) / 60),
    needs,
    urgency: needs[0]?.urgency ?? 0,
  };
}

function lastDayOf(standings: readonly Standing[]): Day | null {
  return standings
    .flatMap(({ record }) => record.tries.at(-1)?.day ?? [])
    .reduce<Day | null>((last, day) => (last === null || day > last ? day : last), null);
}

function needsFor(
  standings: readonly Standing[],
  weak: readonly WeakPlace[],
  today: Day,
): readonly Need[] {
  const items = standings.map(({ record }): ItemStanding => {
    const place = weak.find((one) => one.item === record.item.id);
    return {
      item: record.item.id,
      name: record.item.name,
      state: record.state,
      verdicts: record.tries.map((one) => one.verdict),
      breaksAt: place ? sayWeakPlace(place) : null,
    };
  });
  return needsOf(items, today, lastDayOf(standings));
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
  const { studioId: _, ...person } = student;
  const today = practiceDay(context, viewer);
  const standings = standingsOf({ context, viewer, student, today });
  const weak = weakPlaces(standings);
  return ok({
    student: person,
    items: standings.map((one) => one.record),
    today,
    needs: needsFor(standings, weak, today),
    weak,
    notes: queries.listNotes(context.db, studentId),
  });
}

/** A student of the viewer's studio; for the teacher alone. */
export function ownStudent(context: Context, viewer: Viewer, studentId: PersonId): Result<Person> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const student = queries.findPerson(context.db, studentId);
  if (!student || student.studioId !== viewer.studioId || student.role !== 'student') {
    return fail({ code: 'not-found', path: ['id'], what: WHAT });
  }
  return ok(student);
}

/** What a student plays on, and how: handedness and the voices that are there. */
export function setKit(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  kit: KitProfile,
): Result<null> {
  const student = ownStudent(context, viewer, studentId);
  if (!student.ok) return student;
  queries.setPersonKit(context.db, studentId, kit);
  return ok(null);
}
