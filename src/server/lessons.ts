import { fail, ok, type Issue, type Result } from '@/core/issue';
import { dosageNow, planTry, rungAt, type Decision, type Dosage, type Rung } from '@/core/ladder';
import { expand, type ClosedRecipe } from '@/core/recipe';
import {
  typedTicks,
  type AssignmentId,
  type Day,
  type EntryId,
  type ItemId,
  type Note,
  type NoteId,
  type PersonId,
  type SessionId,
  type Viewer,
} from '@/core/studio';
import { bpm as toBpm } from '@/core/time';
import { queries } from '@/db';
import { newId, type Context } from './context';
import { studentOnly } from './guard';
import { findOwnItem, practiceDay, recordOf } from './practice';
import { ownStudent } from './students';

/** Which item of which student a decision is about. */
export interface ItemOf {
  readonly studentId: PersonId;
  readonly assignmentId: AssignmentId;
  readonly itemId: ItemId;
}

/** Stores what the teacher decided about an item; the ladder follows by replaying the log. Safe to
 * send twice.
 * @returns issue `not-asked` for an answer to what is not asked any more */
export function decide(
  context: Context,
  viewer: Viewer,
  of: ItemOf & { readonly id: EntryId; readonly sessionId: SessionId },
  decision: Decision,
): Result<null> {
  const student = ownStudent(context, viewer, of.studentId);
  if (!student.ok) return student;
  const own = findOwnItem(context, viewer, of);
  if (!own) return fail({ code: 'not-found', path: ['item'], what: 'item' });
  if (queries.storedIds(context.db, [of.id]).has(of.id)) return ok(null);
  if (decision.does === 'accept' || decision.does === 'decline') {
    const { state } = recordOf(context, viewer, of.studentId, own);
    if (state.proposal?.kind !== decision.proposal) return fail({ code: 'not-asked', path: [] });
  }
  const { id, assignmentId, itemId, sessionId, studentId } = of;
  queries.insertDecision(
    context.db,
    { id, decision },
    { assignmentId, itemId, sessionId },
    stored(context, viewer, studentId),
  );
  return ok(null);
}

function stored(context: Context, viewer: Viewer, studentId: PersonId) {
  const { studioId } = viewer;
  return { studioId, studentId, at: context.now(), day: practiceDay(context, viewer) };
}

/** Takes a decision back: the ladder goes on as if it had never been made, and both stay in the log. */
export function takeDecisionBack(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  decisionId: EntryId,
): Result<null> {
  const student = ownStudent(context, viewer, studentId);
  if (!student.ok) return student;
  const of = queries.findEntry(context.db, studentId, decisionId, 'decided');
  if (!of) return fail({ code: 'not-found', path: ['decision'], what: 'decision' });
  const id = newId<'entry'>(context);
  queries.insertTakenBack(context.db, { id, decisionId }, of, stored(context, viewer, studentId));
  return ok(null);
}

/** Writes to a student; it stands on their Today. @returns issue `note-empty` */
export function addNote(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  typed: string,
): Result<Note> {
  const student = ownStudent(context, viewer, studentId);
  if (!student.ok) return student;
  const text = typed.trim();
  if (text === '') return fail({ code: 'note-empty', path: ['text'] });
  const note = {
    id: newId<'note'>(context),
    text,
    day: practiceDay(context, viewer),
    at: context.now(),
  };
  queries.insertNote(context.db, { ...note, studioId: viewer.studioId, studentId });
  return ok(note);
}

/** What the teacher wrote to the student who looks, latest first. */
export function listNotes(context: Context, viewer: Viewer): Result<readonly Note[]> {
  return studentOnly(viewer, 'page') ?? ok(queries.listNotes(context.db, viewer.personId));
}

/** Takes a note away, or brings it back. */
export function archiveNote(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  id: NoteId,
  archived: boolean,
): Result<null> {
  const student = ownStudent(context, viewer, studentId);
  if (!student.ok) return student;
  const at = archived ? context.now() : null;
  const found = queries.setNoteArchived(context.db, viewer.studioId, id, at);
  return found ? ok(null) : fail({ code: 'not-found', path: ['note'], what: 'note' });
}

/** One cell of a paper week: an item on a day, and what was ticked. `ids` name its tries, one each, so
 * that sending it twice stores it once. */
export interface PaperCell {
  readonly assignmentId: AssignmentId;
  readonly itemId: ItemId;
  readonly day: Day;
  readonly text: string;
  readonly ids: readonly EntryId[];
}

/** An hour of the day for what has only a day; entries of a sheet follow each other from there. */
const PAPER_HOUR_MS = 17 * 3600 * 1000;

/** Puts a typed paper week into the log, day by day, each try on the rung where the ladder stood by
 * then. All of it or nothing.
 * @returns issues `tick` and `day-ahead`, their path the item and the day; how many tries went in */
export function logPaper(
  context: Context,
  viewer: Viewer,
  studentId: PersonId,
  sessionId: SessionId,
  cells: readonly PaperCell[],
): Result<number> {
  const student = ownStudent(context, viewer, studentId);
  if (!student.ok) return student;
  const today = practiceDay(context, viewer);
  const issues: Issue[] = [];
  const read = cells.flatMap((cell) => {
    const path = [cell.itemId, cell.day];
    if (cell.day > today) issues.push({ code: 'day-ahead', path, day: cell.day });
    const ticks = typedTicks(cell.text, cell.day);
    if (!ticks.ok) issues.push(...ticks.issues.map((issue) => ({ ...issue, path })));
    const own = findOwnItem(context, viewer, { studentId, ...cell });
    if (!own) issues.push({ code: 'not-found', path, what: 'item' });
    return ticks.ok && own ? [{ cell, own, ticks: ticks.value }] : [];
  });
  if (issues.length > 0) return fail(...issues);
  return context.db.transaction(() => {
    let count = 0;
    for (const { cell, own, ticks } of read.sort((a, b) => (a.cell.day < b.cell.day ? -1 : 1))) {
      ticks.forEach((tick, index) => {
        const id = cell.ids[index];
        if (!id) throw new RangeError('a tick without an id');
        const { state, plays } = recordOf(context, viewer, studentId, own);
        const rung = rungAt(state.rungs, state.rung);
        const bpm = tick.bpm ?? state.bpm;
        const dosage = dosageNow(state, own.item.course.dosage);
        const { bars, seconds } = lengthOf(plays, dosage, rung, bpm);
        const at = Date.parse(`${cell.day}T00:00:00Z`) + PAPER_HOUR_MS + count * 1000;
        const entry = {
          id,
          sessionId,
          assignmentId: cell.assignmentId,
          itemId: cell.itemId,
          bpm,
          rung: tick.bpm === null || tick.bpm === state.bpm ? rung.key : null,
          verdict: tick.verdict,
          bars,
          seconds,
          paper: true,
          hash: own.item.hash,
        };
        const { studioId } = viewer;
        const place = { studioId, studentId, at, day: cell.day };
        queries.insertTries(context.db, [{ entry, context: place }]);
        count += 1;
      });
    }
    return ok(count);
  });
}

function lengthOf(recipe: ClosedRecipe, dosage: Dosage, rung: Rung, bpm: number) {
  const made = expand(recipe);
  if (!made.ok) return { bars: 1, seconds: 0 };
  const { bars, seconds } = planTry(made.value, { ...rung, bpm: toBpm(bpm) }, dosage);
  return { bars, seconds };
}
