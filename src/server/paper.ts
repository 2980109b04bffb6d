import { fail, ok, type Issue, type Result } from '@/core/issue';
import { foldItem, type Body } from '@/core/log';
import {
  typedTicks,
  type AssignmentId,
  type Day,
  type EntryId,
  type ItemId,
  type PaperTick,
  type PersonId,
  type SessionId,
} from '@/core/studio';
import type { StudentStore } from '@/db';
import { openStudent, type Teacher } from './authority';
import { LadderThen } from './ladder-then';
import { allOrNone } from './log';
import { progressOf, type PlacedProgress } from './progress';
import { practiceDay } from './standing';

/** One cell of a paper week: an item on a day, and what was ticked. `ids` name its tries, one each, so
 * that sending it twice stores it once. */
export interface PaperCell {
  readonly assignmentId: AssignmentId;
  readonly itemId: ItemId;
  readonly day: Day;
  readonly text: string;
  readonly ids: readonly EntryId[];
}

interface ReadCell extends PaperCell {
  readonly placed: PlacedProgress;
  readonly ticks: readonly PaperTick[];
}

/** An hour of the day for what has only a day; entries of a sheet follow each other from there. */
const PAPER_HOUR_MS = 17 * 3600 * 1000;

/** Puts a typed paper week into the log, day by day, each try on the rung where the ladder stood on its
 * own date: what was played later moves on as if the sheet had been there. All of it or nothing.
 * @returns issues of opening the student, `tick`, `day-ahead` and `not-found`, their path the item and
 * the day, `not-yours`; how many tries went in */
export function logPaper(
  me: Teacher,
  studentId: PersonId,
  sessionId: SessionId,
  cells: readonly PaperCell[],
): Result<number> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const store = opened.value;
  const read = readCells(store, cells, practiceDay({ now: me.now, store }));
  if (!read.ok) return read;
  if (store.log.isMySession(sessionId) === false) {
    return fail({ code: 'not-yours', path: ['sessionId'], what: 'session' });
  }
  return allOrNone(store, () => {
    let count = 0;
    for (const cell of read.value) {
      const { item, given } = cell.placed;
      for (const { id, body } of triesOf(store, cell)) {
        const stored = store.log.isMine(id);
        if (stored === false) return fail({ code: 'not-yours', path: ['id'], what: 'entry' });
        const at = Date.parse(`${cell.day}T00:00:00Z`) + PAPER_HOUR_MS + count * 1000;
        count += 1;
        if (stored) continue;
        store.log.insert({
          kind: 'try',
          id,
          by: 'teacher',
          at,
          day: cell.day,
          assignmentId: given.assignmentId,
          itemId: item.id,
          sessionId,
          about: null,
          hash: item.hash,
          body,
        });
      }
    }
    return ok(count);
  });
}

/** By day; the cells of a day in the order in which they were typed. */
function readCells(
  store: StudentStore,
  cells: readonly PaperCell[],
  today: Day,
): Result<readonly ReadCell[]> {
  const { items } = progressOf(store);
  const issues: Issue[] = [];
  const read = cells.flatMap((cell): readonly ReadCell[] => {
    const path = [cell.itemId, cell.day];
    if (cell.day > today) issues.push({ code: 'day-ahead', path, day: cell.day });
    const ticks = typedTicks(cell.text, cell.day);
    if (!ticks.ok) issues.push(...ticks.issues.map((issue) => ({ ...issue, path })));
    const placed = items.find(
      ({ item, given }) => item.id === cell.itemId && given.assignmentId === cell.assignmentId,
    );
    if (!placed) issues.push({ code: 'not-found', path, what: 'item' });
    if (ticks.ok && ticks.value.length > cell.ids.length) {
      issues.push({ code: 'entry-shape', path, misfits: [{ at: 'id', problem: 'short' }] });
    }
    return ticks.ok && placed ? [{ ...cell, placed, ticks: ticks.value }] : [];
  });
  if (issues.length > 0) return fail(...issues);
  return ok(read.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)));
}

/** The tries of a cell, each on the rung where the ladder stood by then. */
function triesOf(
  store: StudentStore,
  { placed, ticks, day, ids }: ReadCell,
): readonly { readonly id: EntryId; readonly body: Body<'try'> }[] {
  const { item } = placed;
  const before = foldItem(store.log.ofItem(item.id)).filter(
    (one) => one.day <= day && !ids.includes(one.id),
  );
  const ladder = new LadderThen(placed, before);
  return ticks.map((tick, index) => {
    const id = ids[index] as EntryId;
    return { id, body: { ...ladder.try(id, day, tick), paper: true } };
  });
}
