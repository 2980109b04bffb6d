import { writeCsv, type CsvRow } from '@/core/format';
import { fail, ok, type Issue, type Result } from '@/core/issue';
import { foldItem, takenBackIds } from '@/core/log';
import {
  clockOf,
  MOST_TRIES,
  type EntryId,
  type Imported,
  type LogLook,
  type PersonId,
} from '@/core/studio';
import type { NewEntry } from '@/db';
import { note } from './audit';
import { openStudent, type Student, type Teacher } from './authority';
import { newId } from './context';
import { allOrNone } from './log';
import { keyOf, Placing } from './log-placing';
import { tryOfRow, type ReadTry } from './log-row';
import { progressOf } from './progress';
import { practiceDay } from './standing';
import { LOG_COLUMNS } from './table-columns';

/** Every try of a student as a table, in the order of the log.
 * @returns issues of opening the student; text of a file */
export function exportLog(me: Teacher | Student, studentId: PersonId): Result<string> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  note({ now: me.now, store }, 'exported', me.id, studentId);
  const { zone } = store.studio();
  const items = new Map(progressOf(store).items.map((one) => [one.item.id, one]));
  const rows = foldItem(store.log.since(0)).flatMap((one) => {
    if (one.kind !== 'try') return [];
    const placed = items.get(one.itemId);
    return [
      {
        ...{ student: store.person.name, date: one.day, time: clockOf(one.at, zone) },
        program: placed?.program ?? '',
        // What was taken back from the student has no name here any more.
        exercise: placed?.item.name ?? one.itemId,
        ...{ bpm: one.bpm, rung: one.rung, bars: one.bars, seconds: Math.round(one.seconds) },
        ...{ verdict: one.verdict, 'judged-by': one.judgedBy },
        ...{ stopped: one.stopped ? 'yes' : '', paper: one.paper ? 'yes' : '' },
        suffered: one.suffered
          .map(({ what, limb }) => (limb === null ? what : `${what} ${limb}`))
          .join(' '),
        'broke-on-beat': one.broke.map((beat) => beat + 1).join(' '),
        ...{ remark: one.remark, id: one.id },
      },
    ];
  });
  return ok(writeCsv(LOG_COLUMNS, rows));
}

/** A table whose rows have found their places: what would come, and the entries that it comes to. */
export interface PlacedLog {
  readonly look: LogLook;
  readonly entries: ReadonlyMap<PersonId, readonly NewEntry[]>;
}

/** Finds where the rows of a table of tries belong, as it leaves here or as somebody keeps it: date, exercise, bpm, and what else is known. A
 * rung that is not said is the one where the ladder stood by then.
 * @param student whose rows are that name nobody; null leaves them out
 * @returns issues `csv-form` and `csv-cell` with line and column, `csv-rows` */
export function placeLog(
  me: Teacher,
  table: readonly CsvRow<(typeof LOG_COLUMNS)[number]>[],
  student: PersonId | null,
): Result<PlacedLog> {
  if (table.length > MOST_TRIES) return fail({ code: 'csv-rows', path: [], most: MOST_TRIES });
  const { zone } = me.store.studio();
  const issues: Issue[] = [];
  const today = practiceDay(me);
  const rows = table.flatMap((row) => tryOfRow(row, today, issues) ?? []);
  if (issues.length > 0) return fail(...issues.slice(0, 10));
  const stores = me.store.students();
  const chosen = stores.find(({ id }) => id === student);
  const named = (name: string) => stores.filter(({ person }) => keyOf(person.name) === keyOf(name));
  const placing = new Placing(me, zone);
  for (const one of rows.sort(byTime)) {
    const [store, another] = one.student === '' ? [chosen] : named(one.student);
    if (another) placing.leave('students', one.student, one.line);
    else if (store) placing.place(store, one);
    else if (one.student !== '') placing.leave('student', one.student, one.line);
  }
  const students = stores.map(({ id, person }) => ({ id, name: person.name }));
  const unsaid = rows.filter((one) => one.student === '').length;
  return ok({
    look: { kind: 'log', unsaid, students, ...placing.look() },
    entries: placing.entries,
  });
}

function byTime(a: ReadTry, b: ReadTry): number {
  const [one, other] = [`${a.day} ${a.clock}`, `${b.day} ${b.clock}`];
  return one === other ? a.line - b.line : one < other ? -1 : 1;
}

/** Takes tries into logs, whole or not at all. @returns what came, by student */
export function importLog(me: Teacher, { entries }: PlacedLog): Result<Imported['tries']> {
  return me.store.together(() => {
    const tries: { student: PersonId; ids: EntryId[] }[] = [];
    for (const [student, own] of entries) {
      const opened = openStudent(me, student);
      if (!opened.ok) return opened;
      const { log } = opened.value;
      for (const one of own) log.insert(one);
      tries.push({ student, ids: own.flatMap(({ kind, id }) => (kind === 'try' ? [id] : [])) });
    }
    return ok(tries);
  });
}

/** Takes tries of a student back, or has them stand again; those that do already are left.
 * @returns issues of opening the student; `not-found` for what is no try of theirs */
export function takeBackTries(
  me: Teacher,
  student: PersonId,
  ids: readonly EntryId[],
  away: boolean,
): Result<null> {
  const opened = openStudent(me, student);
  if (!opened.ok) return opened;
  const store = opened.value;
  return allOrNone(store, () => {
    const tries = new Map(store.log.find(ids).map((one) => [one.id, one]));
    const takings = store.log.since(0).filter((one) => one.kind === 'taken-back');
    const gone = takenBackIds(takings);
    const day = practiceDay({ now: me.now, store });
    for (const id of ids) {
      const of = tries.get(id);
      if (of?.kind !== 'try') return fail({ code: 'not-found', path: ['id'], what: 'entry' });
      if (gone.has(id) === away) continue;
      const standing = takings.filter((one) => one.about === id && !gone.has(one.id));
      for (const about of away ? [id] : standing.map((one) => one.id)) {
        store.log.insert({
          ...{ kind: 'taken-back', id: newId<'entry'>(me), by: 'teacher', at: me.now(), day },
          ...{ assignmentId: of.assignmentId, itemId: of.itemId, sessionId: null, about },
          ...{ hash: null, body: {} },
        });
      }
    }
    return ok(null);
  });
}
