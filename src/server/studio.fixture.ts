import { familyOf } from '@/core/family';
import { must, type Result } from '@/core/issue';
import type { Body, Posted } from '@/core/log';
import { blankRecipe, startOf, toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import type { AssignmentId, EntryId, ItemId, PersonId } from '@/core/studio';
import { openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import {
  addItem,
  addStudent,
  appendEntries,
  asStudent,
  asTeacher,
  createProgram,
  giveProgram,
  newId,
  openStudio,
  saveExercise,
  saveFamily,
  viewerOf,
  type Context,
  type Student,
  type Teacher,
} from '.';

/** A clock that tests set. */
export interface TestContext extends Context {
  at: number;
}

/** An empty file, brought up to date once. */
let empty: Buffer | undefined;

export function testContext(): TestContext {
  const context: TestContext = {
    db: openDb((empty ??= connectionOf(openDb(':memory:')).$client.serialize())),
    at: Date.UTC(2026, 0, 5, 17),
    now: () => context.at,
  };
  return context;
}

export function cells(text = '4. 4 8 4'): ClosedRecipe {
  return {
    ...toggleOstinato(blankRecipe(), 'hats-2-4'),
    play: { content: { text } },
    as: startOf('phrase-cells'),
  };
}

export function studentAt(context: Context, id: PersonId): Student {
  return must(asStudent(context, viewerOf(context, id)));
}

function newTeacher(context: Context, zone = 'Europe/Lisbon'): Teacher {
  const id = must(openStudio(context, { studio: 'Mole End', teacher: 'Ada', zone }));
  return must(asTeacher(context, viewerOf(context, id)));
}

/** A studio whose one student has a program of one exercise, 60 to 100 by 5, three clean. */
export function smallStudio(context: Context, zone = 'Europe/Lisbon') {
  const teacher = newTeacher(context, zone);
  const id = must(addStudent(teacher, { name: 'Ines', about: 'pad only' }));
  const student = studentAt(context, id);
  const input = { id: null, name: 'Cells', recipe: cells() };
  const exercise = must(saveExercise(teacher, input));
  const program = must(createProgram(teacher, 'Autumn'));
  const item = must(addItem(teacher, program, exercise.id));
  const assignment = must(giveProgram(teacher, program, id));
  const saved = { id: null, name: 'Cells, displaced', family: familyOf(cells()) };
  const family = must(saveFamily(teacher, saved)).id;
  return { teacher, student, id, exercise, program, item, assignment, family };
}

/** The same exercise once more, in a second program of the student's. */
export function secondItem({ teacher, exercise, id }: SmallStudio) {
  const program = must(createProgram(teacher, 'Winter'));
  const item = must(addItem(teacher, program, exercise.id));
  return { program, item, assignment: must(giveProgram(teacher, program, id)) };
}

export type SmallStudio = ReturnType<typeof smallStudio>;

/** A try of the studio's one item: clean, five minutes at 60. */
export function tryOf(
  { student, item, assignment }: { student: Student; item: ItemId; assignment: AssignmentId },
  said: Partial<Body<'try'>> = {},
  more: Partial<Pick<Posted<'try'>, 'id' | 'agoMs' | 'sessionId'>> = {},
): Posted<'try'> {
  return {
    kind: 'try',
    id: newId<'entry'>(student),
    agoMs: 0,
    sessionId: newId<'session'>(student),
    assignmentId: assignment,
    itemId: item,
    body: { bpm: 60, rung: null, verdict: 'clean', bars: 75, seconds: 300, ...said },
    ...more,
  };
}

/** An entry about another. */
export function about<Kind extends 'suffered' | 'broke' | 'judged' | 'remark'>(
  kind: Kind,
  of: EntryId,
  body: Body<Kind>,
): Posted {
  idsMade += 1;
  const id = String(idsMade).padStart(22, '0') as EntryId;
  return { kind, id, agoMs: 0, about: of, body } as unknown as Posted;
}

let idsMade = 0;

/** Puts entries into a log, each of which has to be taken. */
export function log(me: Teacher | Student, student: PersonId, ...posted: readonly Posted[]): void {
  for (const { result } of must(appendEntries(me, student, posted)).answers) must(result);
}

/** What becomes of one entry. */
export function logged(me: Teacher | Student, student: PersonId, posted: unknown): Result<null> {
  const [answer] = must(appendEntries(me, student, [posted])).answers;
  if (!answer) throw new Error('no answer');
  return answer.result;
}

/** What the teacher decides about the studio's one item. */
export function decision(
  { teacher, item, assignment }: SmallStudio,
  body: Body<'decided'>,
  id: EntryId = newId<'entry'>(teacher),
): Posted<'decided'> {
  const place = { assignmentId: assignment, itemId: item, sessionId: null };
  return { kind: 'decided', id, agoMs: 0, ...place, body };
}

export function takenBack(of: EntryId, me: Teacher): Posted<'taken-back'> {
  return { kind: 'taken-back', id: newId<'entry'>(me), agoMs: 0, about: of, body: {} };
}
