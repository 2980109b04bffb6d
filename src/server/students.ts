import { ok, type Result } from '@/core/issue';
import type { KitProfile } from '@/core/kit';
import { needsOf, type ItemStanding, type Need } from '@/core/roster';
import {
  daysAfter,
  type Day,
  type Note,
  type Person,
  type PersonId,
  type ProgramId,
  type StandItem,
  type StudentRecord,
  type StudentSummary,
  type WeakPlace,
} from '@/core/studio';
import type { Assigned, StudentStore } from '@/db';
import { openStudent, type Student, type Teacher } from './authority';
import { Projection } from './projection';
import { progressOf, type Progress } from './progress';
import { practiceDay, recordOf, sayWeakPlace, standItems, weakPlaces } from './standing';

/** What the student has to do, in order. */
export function getToday({ now, store }: Student): Result<readonly StandItem[]> {
  return ok(standItems(progressOf(store), practiceDay({ now, store })));
}

/** What the teacher wrote to the student who looks, latest first. */
export function listNotes({ store }: Student): Result<readonly Note[]> {
  return ok(progressOf(store).notes);
}

/** The studio's students, in the order in which they came. */
export function listRoster({ store }: Teacher): Result<readonly Person[]> {
  return ok(store.students().map((one) => one.person));
}

/** What a student's line of the roster is worked out from. */
interface SummaryFrom {
  readonly student: Person;
  readonly today: Day;
  readonly given: readonly (Pick<Assigned, 'programId' | 'version' | 'starts'> & {
    readonly program: string;
    readonly revision: number;
  })[];
  /** Where the log ends. */
  readonly seq: number;
}

const SUMMARIES = new Projection<SummaryFrom, StudentSummary>(5000);

/** The studio's students, the one who needs the teacher most first, with what they did this week. */
export function listStudents(me: Teacher): Result<readonly StudentSummary[]> {
  const { store } = me;
  const today = practiceDay(me);
  const all = store.programs.given();
  const names = store.programs.names([...new Set(all.map((one) => one.programId))]);
  const held = new Map<PersonId, Assigned[]>();
  for (const one of all) held.set(one.student.id, [...(held.get(one.student.id) ?? []), one]);
  const revisionOf = revisions(me);
  const summaries = store.students().map((own): StudentSummary => {
    const { id, person: student } = own;
    const given = held.get(id) ?? [];
    const programs = given.map(({ programId, version, starts }) => {
      const program = names.get(programId) ?? '';
      return { programId, version, starts, program, revision: revisionOf(programId, version) };
    });
    const from = { student, today, given: programs, seq: own.log.latest() };
    return SUMMARIES.get(own.file, id, from, () =>
      summaryOf(own, progressOf(own, { given, names }), today),
    );
  });
  return ok(summaries.sort((a, b) => b.urgency - a.urgency));
}

/** The revisions of versions of programs, each looked up once. */
function revisions({ store }: Teacher): (id: ProgramId, version: number) => number {
  const known = new Map<string, number>();
  return (id, version) => {
    const of = `${id} ${version}`;
    let revision = known.get(of);
    if (revision === undefined) {
      revision = store.programs.content(id, version)?.revision ?? 0;
      known.set(of, revision);
    }
    return revision;
  };
}

function summaryOf({ person }: StudentStore, progress: Progress, today: Day): StudentSummary {
  const { items } = progress;
  const since = daysAfter(today, -6);
  const week = items.flatMap(({ sums }) => sums.days.filter((one) => one.day >= since));
  const needs = needsFor(progress, weakPlaces(progress), today);
  return {
    student: person,
    programs: [...new Set(items.map((one) => one.program))],
    lastDay: lastDayOf(progress),
    triesThisWeek: week.reduce((sum, one) => sum + one.tries, 0),
    minutesThisWeek: Math.round(week.reduce((sum, one) => sum + one.seconds, 0) / 60),
    needs,
    urgency: needs[0]?.urgency ?? 0,
  };
}

function lastDayOf({ items }: Progress): Day | null {
  return items
    .flatMap(({ sums }) => sums.days.at(-1)?.day ?? [])
    .reduce<Day | null>((last, day) => (last === null || day > last ? day : last), null);
}

function needsFor(progress: Progress, weak: readonly WeakPlace[], today: Day): readonly Need[] {
  const items = progress.items.map(({ item, sums }): ItemStanding => {
    const place = weak.find((one) => one.item === item.id);
    return {
      item: item.id,
      name: item.name,
      state: sums.followed.state,
      verdicts: sums.latest.map((one) => one.verdict),
      breaksAt: place ? sayWeakPlace(place) : null,
    };
  });
  return needsOf(items, today, lastDayOf(progress));
}

/** Everything about one student: a teacher sees all of the studio's, a student their own.
 * @returns issues of opening the student */
export function getRecord(me: Teacher | Student, studentId: PersonId): Result<StudentRecord> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  const progress = progressOf(store);
  const today = practiceDay({ now: me.now, store });
  const weak = weakPlaces(progress);
  const items = standItems(progress, today);
  return ok({
    student: store.person,
    items: progress.items.flatMap((placed, index) => {
      const item = items[index];
      return item ? [recordOf(store, placed, item)] : [];
    }),
    today,
    needs: needsFor(progress, weak, today),
    weak,
    notes: progress.notes,
  });
}

/** What a student plays on, and how: handedness and the voices that are there.
 * @returns issue `not-found` */
export function setKit(me: Teacher, studentId: PersonId, kit: KitProfile): Result<null> {
  const store = openStudent(me, studentId);
  if (!store.ok) return store;
  store.value.setKit(kit);
  return ok(null);
}
