import { isDeepStrictEqual } from 'node:util';
import { ok, type Result } from '@/core/issue';
import type { KitProfile } from '@/core/kit';
import type { ItemDay } from '@/core/progress';
import { needsOf, type ItemStanding } from '@/core/roster';
import {
  daysAfter,
  type Day,
  type DoneDay,
  type Person,
  type PersonId,
  type ProgramId,
  type StudentSummary,
} from '@/core/studio';
import type { Assigned, StudentStore } from '@/db';
import { asTeacher, type Teacher } from './authority';
import type { Context } from './context';
import { sharedProjection } from './projection';
import { progressOf, type Progress } from './progress';
import { itemStandings, lastDayOf, practiceDay } from './standing';
import { listDoors, viewerOf } from './studios';
import { codeVersion } from './version';

/** The studio's students, in the order in which they came. */
export function listRoster({ store }: Teacher): Result<readonly Person[]> {
  return ok(store.students().map((one) => one.person));
}

/** What a student's line of the roster is worked out from. */
interface LineFrom {
  readonly kit: KitProfile | null;
  readonly given: readonly (Pick<Assigned, 'programId' | 'version' | 'starts'> & {
    readonly program: string;
    readonly revision: number;
  })[];
  /** Where the log ends. */
  readonly seq: number;
}

/** What a student's log comes to on the roster, whatever day it is. */
interface RosterLine {
  readonly programs: readonly string[];
  readonly items: readonly ItemStanding[];
  readonly lastDay: Day | null;
  /** The last dates with practice, of all that the student has. */
  readonly days: readonly (DoneDay & Pick<ItemDay, 'open'>)[];
}

const LINES = sharedProjection<LineFrom, RosterLine>('roster lines', 5000);
const KEPT_AS = 'roster';

/** The studio's students, the one who needs the teacher most first, with what they did this week. */
export function listStudents(me: Teacher): Result<readonly StudentSummary[]> {
  const today = practiceDay(me);
  const lines = linesOf(me);
  const allGetIn = me.store.studio().demo || me.store.hasTablet();
  const comeIn = me.store.withWaysIn(me.now());
  const summaries = me.store.students().map((own): StudentSummary => ({
    ...summaryOf(own.person, lines.of(own), today),
    getsIn: allGetIn || comeIn.has(own.id),
  }));
  lines.keep();
  return ok(summaries.sort((a, b) => b.urgency - a.urgency));
}

/** Works out the lines of every studio of a file, one student at a time: a build that has none of its own yet
 * has them when a teacher asks.
 * @param pause lets others work between one student and the next */
export async function warmRosters(context: Context, pause: () => Promise<unknown>): Promise<void> {
  for (const { people } of listDoors(context)) {
    const owner = people.find((one) => one.role === 'owner');
    const me = asTeacher(context, owner ? viewerOf(context, owner.id) : null);
    if (!me.ok) continue;
    const lines = linesOf(me.value);
    for (const own of me.value.store.students()) {
      lines.of(own);
      lines.keep();
      await pause();
    }
  }
}

/** Lines of a studio's roster: those that are known, those that were worked out before the last start and kept
 * in the file, and the others, which `keep` puts there. */
function linesOf(me: Teacher) {
  const { store } = me;
  const fromOf = sources(me);
  const version = codeVersion();
  let kept: ReturnType<typeof store.projections.read> | null = null;
  const fresh: { studentId: PersonId; source: string; value: string }[] = [];

  function of(own: StudentStore): RosterLine {
    const { from, held } = fromOf(own);
    let line = LINES.find(store.file, own.id, from);
    if (!line && version !== null) {
      kept ??= store.projections.read(KEPT_AS, version);
      line = keptLine(kept.get(own.id), from);
    }
    if (!line) {
      line = lineOf(progressOf(own, held));
      fresh.push({ studentId: own.id, source: JSON.stringify(from), value: JSON.stringify(line) });
    }
    return LINES.put(store.file, own.id, from, line);
  }

  function keep(): void {
    if (version !== null && fresh.length > 0) {
      store.projections.keep(KEPT_AS, version, fresh.splice(0));
    }
  }

  return { of, keep };
}

/** A line that was kept, where it was worked out from the same. */
function keptLine(
  kept: { readonly source: string; readonly value: string } | undefined,
  from: LineFrom,
): RosterLine | undefined {
  if (!kept) return undefined;
  const same = isDeepStrictEqual(JSON.parse(kept.source), JSON.parse(JSON.stringify(from)));
  return same ? (JSON.parse(kept.value) as RosterLine) : undefined;
}

/** For each student, what their line is worked out from, and what they hold. */
function sources({ store }: Teacher) {
  const all = store.programs.given();
  const names = store.programs.names([...new Set(all.map((one) => one.programId))]);
  const revisions = new Map<string, number>();
  const held = new Map<PersonId, Assigned[]>();
  for (const one of all) held.set(one.student.id, [...(held.get(one.student.id) ?? []), one]);

  function revisionOf(id: ProgramId, version: number): number {
    const of = `${id} ${version}`;
    const known = revisions.get(of) ?? store.programs.content(id, version)?.revision ?? 0;
    revisions.set(of, known);
    return known;
  }

  return ({ id, person, log }: StudentStore) => {
    const given = held.get(id) ?? [];
    const programs = given.map(({ programId, version, starts }) => {
      const program = names.get(programId) ?? '';
      return { programId, version, starts, program, revision: revisionOf(programId, version) };
    });
    const from: LineFrom = { kit: person.kit, given: programs, seq: log.latest() };
    return { from, held: { given, names } };
  };
}

/** Dates that are looked at for what was done this week. */
const WEEK = 7;

function lineOf(progress: Progress): RosterLine {
  const { items } = progress;
  const days = new Map<Day, RosterLine['days'][number]>();
  for (const { day, tries, seconds, open } of items.flatMap(({ sums }) => sums.days.slice(-WEEK))) {
    const before = days.get(day) ?? { tries: 0, seconds: 0, open: 0 };
    days.set(day, {
      day,
      tries: before.tries + tries,
      seconds: before.seconds + seconds,
      open: before.open + open,
    });
  }
  return {
    programs: [...new Set(items.map((one) => one.program))],
    items: itemStandings(progress),
    lastDay: lastDayOf(progress),
    days: [...days.values()],
  };
}

function summaryOf(student: Person, line: RosterLine, today: Day): Omit<StudentSummary, 'getsIn'> {
  const { programs, items, lastDay, days } = line;
  const since = daysAfter(today, 1 - WEEK);
  const week = days.filter((one) => one.day >= since);
  const needs = needsOf(items, today, lastDay);
  return {
    student,
    programs,
    lastDay,
    triesThisWeek: week.reduce((sum, one) => sum + one.tries, 0),
    openThisWeek: week.reduce((sum, one) => sum + one.open, 0),
    minutesThisWeek: Math.round(week.reduce((sum, one) => sum + one.seconds, 0) / 60),
    needs,
    urgency: needs[0]?.urgency ?? 0,
  };
}
