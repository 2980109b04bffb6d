import { familyOf } from '@/core/family';
import { must } from '@/core/issue';
import { blankRecipe, startOf, toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import type { AssignmentId, EntryId, ItemId, PersonId, TryInput, Viewer } from '@/core/studio';
import { openDb } from '@/db';
import {
  addItem,
  addStudent,
  createProgram,
  giveProgram,
  newId,
  openStudio,
  saveExercise,
  saveFamily,
  viewerOf,
  type Context,
} from '.';

/** A clock that tests set. */
export interface TestContext extends Context {
  at: number;
}

export function testContext(): TestContext {
  const context: TestContext = {
    db: openDb(':memory:'),
    at: Date.UTC(2026, 0, 5, 17),
    now: () => context.at,
  };
  return context;
}

export function viewer(context: Context, person: PersonId): Viewer {
  const found = viewerOf(context, person);
  if (!found) throw new Error('nobody');
  const { name: _, ...rest } = found;
  return rest;
}

export function cells(text = '4. 4 8 4'): ClosedRecipe {
  return {
    ...toggleOstinato(blankRecipe(), 'hats-2-4'),
    play: { content: { text } },
    as: startOf('phrase-cells'),
  };
}

/** A studio whose one student has a program of one exercise, 60 to 100 by 5, three clean. */
export function smallStudio(context: Context, zone = 'Europe/Lisbon') {
  const teacher = viewer(
    context,
    must(openStudio(context, { studio: 'Mole End', teacher: 'Ada', zone })),
  );
  const student = viewer(
    context,
    must(addStudent(context, teacher, { name: 'Ines', about: 'pad only' })),
  );
  const input = { id: null, name: 'Cells', recipe: cells() };
  const exercise = must(saveExercise(context, teacher, input));
  const program = must(createProgram(context, teacher, 'Autumn'));
  const item = must(addItem(context, teacher, program, exercise.id));
  const assignment = must(giveProgram(context, teacher, program, student.personId));
  const saved = { id: null, name: 'Cells, displaced', family: familyOf(cells()) };
  const family = must(saveFamily(context, teacher, saved)).id;
  return { teacher, student, exercise, program, item, assignment, family };
}

export function tryOf(
  context: Context,
  of: { item: ItemId; assignment: AssignmentId },
  more: { readonly [Key in keyof TryInput]?: TryInput[Key] } = {},
): TryInput {
  return {
    id: newId<'entry'>(context) as EntryId,
    sessionId: newId<'session'>(context),
    assignmentId: of.assignment,
    itemId: of.item,
    bpm: 60,
    rung: null,
    agoMs: 0,
    verdict: 'clean',
    bars: 75,
    seconds: 300,
    ...more,
  };
}
