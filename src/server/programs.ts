import { randomBytes } from 'node:crypto';
import { fail, ok, type Issue, type Result } from '@/core/issue';
import { USUAL_COURSE, type Course } from '@/core/ladder';
import {
  checkOutline,
  copyOutline,
  EMPTY_OUTLINE,
  itemsOf,
  withItem,
  type Outline,
} from '@/core/program';
import { recipeHash, type ClosedRecipe } from '@/core/recipe';
import type {
  AssignmentId,
  ExerciseId,
  ItemId,
  PersonId,
  Program,
  ProgramId,
  ProgramSummary,
  Viewer,
} from '@/core/studio';
import { queries } from '@/db';
import { newId, type Context } from './context';
import { getExercise } from './exercises';
import { readName, teacherOnly } from './guard';

const WHAT = 'program';

type Content = NonNullable<ReturnType<typeof queries.findContent>>;

/** The studio's programs, latest first, with how many items and who has them. */
export function listPrograms(context: Context, viewer: Viewer): Result<readonly ProgramSummary[]> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const given = queries.listGiven(context.db, viewer.studioId);
  return ok(
    queries.listPrograms(context.db, viewer.studioId).map((program) => ({
      ...program,
      items: itemsOf(contentOf(context, program.id).outline).length,
      students: given.filter((one) => one.programId === program.id).map((one) => one.student.name),
    })),
  );
}

function contentOf(context: Context, id: ProgramId): Content {
  const found = queries.findContent(context.db, id);
  return found ?? { version: 1, revision: 0, outline: EMPTY_OUTLINE, recipes: {} };
}

export function getProgram(context: Context, viewer: Viewer, id: ProgramId): Result<Program> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const found = queries.findProgram(context.db, viewer.studioId, id);
  if (!found) return fail({ code: 'not-found', path: ['id'], what: WHAT });
  const content = contentOf(context, id);
  const given = queries
    .listGiven(context.db, viewer.studioId)
    .filter((one) => one.programId === id)
    .map(({ programId: _, ...one }) => one);
  return ok({ ...found, ...content, stale: staleItems(context, viewer, content.outline), given });
}

/** Items whose exercise was saved anew since, with what it plays now. */
function staleItems(context: Context, viewer: Viewer, outline: Outline): Record<ItemId, string> {
  const names = queries.listExerciseNames(context.db, viewer.studioId);
  const now = new Map(names.map(({ id, hash }) => [id, hash]));
  const stale: Record<ItemId, string> = {};
  for (const { id, exerciseId, hash } of itemsOf(outline)) {
    const current = now.get(exerciseId);
    if (current !== undefined && current !== hash) stale[id] = current;
  }
  return stale;
}

/** @param from a program that it starts as a copy of */
export function createProgram(
  context: Context,
  viewer: Viewer,
  typed: string,
  from: ProgramId | null = null,
): Result<ProgramId> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const name = readName(typed, WHAT);
  if (!name.ok) return name;
  const source = from === null ? null : getProgram(context, viewer, from);
  if (source && !source.ok) return source;
  const id = newId<'program'>(context);
  const { studioId } = viewer;
  const createdAt = context.now();
  context.db.transaction(() => {
    queries.insertProgram(context.db, { id, studioId, name: name.value, createdAt });
    const content = source ? copyOf(context, source.value) : contentOf(context, id);
    queries.putContent(context.db, { id, studioId, madeAt: createdAt }, { ...content, version: 1 });
  });
  return ok(id);
}

/** The same exercises under ids of their own: a copy's log is its own. */
function copyOf(context: Context, { outline, recipes }: Program): Content {
  const copied = copyOutline(outline, context.now(), () => randomBytes(12));
  const before = itemsOf(outline);
  const own: Record<ItemId, ClosedRecipe> = {};
  itemsOf(copied).forEach((item, index) => {
    const recipe = recipes[before[index]?.id ?? item.id];
    if (recipe) own[item.id] = recipe;
  });
  return { version: 1, revision: 1, outline: copied, recipes: own };
}

export function renameProgram(
  context: Context,
  viewer: Viewer,
  id: ProgramId,
  typed: string,
): Result<null> {
  const found = getProgram(context, viewer, id);
  if (!found.ok) return found;
  const name = readName(typed, WHAT);
  if (!name.ok) return name;
  queries.updateProgram(context.db, id, { name: name.value });
  return ok(null);
}

/** Takes a program out of the list, or back in; students who have it keep it. */
export function archiveProgram(
  context: Context,
  viewer: Viewer,
  id: ProgramId,
  archived: boolean,
): Result<null> {
  const found = getProgram(context, viewer, id);
  if (!found.ok) return found;
  queries.updateProgram(context.db, id, { archivedAt: archived ? context.now() : null });
  return ok(null);
}

/** Keeps a program as a start for others, or as one like any other. */
export function setTemplate(
  context: Context,
  viewer: Viewer,
  id: ProgramId,
  template: boolean,
): Result<null> {
  const found = getProgram(context, viewer, id);
  if (!found.ok) return found;
  queries.updateProgram(context.db, id, { template });
  return ok(null);
}

/** Stores what a program holds. Over the latest version while nobody has it, else as a new one: those
 * who have the program keep theirs until they follow.
 * @param revision the one that the change was made on
 * @returns issues `program-changed`, `after-circle`, `after-missing`, `not-found` for an exercise */
export function saveOutline(
  context: Context,
  viewer: Viewer,
  id: ProgramId,
  change: { readonly revision: number; readonly outline: Outline },
): Result<Program> {
  const program = getProgram(context, viewer, id);
  if (!program.ok) return program;
  if (change.revision !== program.value.revision) {
    return fail({ code: 'program-changed', path: [] });
  }
  const checked = checkOutline(change.outline);
  if (!checked.ok) return checked;
  const recipes = recipesFor(context, viewer, checked.value, program.value);
  if (!recipes.ok) return recipes;
  const inUse = queries.versionInUse(context.db, id) >= program.value.version;
  const content = {
    version: program.value.version + (inUse ? 1 : 0),
    revision: program.value.revision + 1,
    outline: checked.value,
    recipes: recipes.value,
  };
  const of = { id, studioId: viewer.studioId, madeAt: context.now() };
  queries.putContent(context.db, of, content);
  return getProgram(context, viewer, id);
}

/** Each item keeps the recipe it was put in with, until it asks for what its exercise plays now. */
function recipesFor(
  context: Context,
  viewer: Viewer,
  outline: Outline,
  before: Pick<Program, 'outline' | 'recipes'>,
): Result<Record<ItemId, ClosedRecipe>> {
  const hashes = new Map(itemsOf(before.outline).map((item) => [item.id, item.hash]));
  const recipes: Record<ItemId, ClosedRecipe> = {};
  const issues: Issue[] = [];
  for (const { id, exerciseId, hash } of itemsOf(outline)) {
    const known = before.recipes[id];
    if (known && hashes.get(id) === hash) {
      recipes[id] = known;
      continue;
    }
    const exercise = getExercise(context, viewer, exerciseId);
    if (!exercise.ok) issues.push(...exercise.issues);
    else if (known && recipeHash(known) === hash) recipes[id] = known;
    else recipes[id] = exercise.value.recipe;
  }
  return issues.length > 0 ? fail(...issues) : ok(recipes);
}

/** Puts an exercise at the end of a program. */
export function addItem(
  context: Context,
  viewer: Viewer,
  programId: ProgramId,
  exerciseId: ExerciseId,
  course: Course = USUAL_COURSE,
): Result<ItemId> {
  const added = addItems(context, viewer, programId, [{ exerciseId, course }]);
  if (!added.ok) return added;
  const [id] = added.value;
  if (!id) throw new Error('nothing was added');
  return ok(id);
}

/** Puts exercises at the end of a program, in their order; all of them, or none.
 * @returns the ids of their items */
export function addItems(
  context: Context,
  viewer: Viewer,
  programId: ProgramId,
  added: readonly { readonly exerciseId: ExerciseId; readonly course: Course }[],
): Result<readonly ItemId[]> {
  const program = getProgram(context, viewer, programId);
  if (!program.ok) return program;
  let { outline } = program.value;
  const ids: ItemId[] = [];
  for (const { exerciseId, course } of added) {
    const exercise = getExercise(context, viewer, exerciseId);
    if (!exercise.ok) return exercise;
    const id = newId<'item'>(context);
    const { hash, name } = exercise.value;
    outline = withItem(outline, { id, exerciseId, hash, name }, course);
    ids.push(id);
  }
  const { revision } = program.value;
  const saved = saveOutline(context, viewer, programId, { revision, outline });
  return saved.ok ? ok(ids) : saved;
}

/** Hands a program to a student: the latest version.
 * @returns issues `program-empty`, `already-given` */
export function giveProgram(
  context: Context,
  viewer: Viewer,
  programId: ProgramId,
  studentId: PersonId,
): Result<AssignmentId> {
  const program = getProgram(context, viewer, programId);
  if (!program.ok) return program;
  const student = queries.findPerson(context.db, studentId);
  if (!student || student.studioId !== viewer.studioId || student.role !== 'student') {
    return fail({ code: 'not-found', path: ['student'], what: 'student' });
  }
  const { name, outline, given, version } = program.value;
  if (itemsOf(outline).length === 0) {
    return fail({ code: 'program-empty', path: ['items'], name });
  }
  if (given.some((one) => one.student.id === studentId)) {
    const facts = { program: name, student: student.name };
    return fail({ code: 'already-given', path: ['student'], ...facts });
  }
  const id = newId<'assignment'>(context);
  const { studioId } = viewer;
  const givenAt = context.now();
  queries.insertAssignment(context.db, { id, studioId, programId, studentId, givenAt, version });
  return ok(id);
}

/** Takes a program back from a student, or gives it again with its log. */
export function takeBack(
  context: Context,
  viewer: Viewer,
  assignmentId: AssignmentId,
  ended: boolean,
): Result<null> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const found = queries.findGiven(context.db, viewer.studioId, assignmentId);
  if (ended && !found) return fail({ code: 'not-found', path: ['assignment'], what: 'assignment' });
  queries.updateAssignment(context.db, assignmentId, { endedAt: ended ? context.now() : null });
  return ok(null);
}

/** Lets students have a version of what they were given. Their logs go on: ladders are replayed.
 * @param version the latest when left out
 * @returns issue `not-found` for an assignment that has ended, or a version that never was */
export function followVersion(
  context: Context,
  viewer: Viewer,
  assignmentIds: readonly AssignmentId[],
  version?: number,
): Result<null> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  for (const id of assignmentIds) {
    const found = queries.findGiven(context.db, viewer.studioId, id);
    const content = found && queries.findContent(context.db, found.programId, version);
    if (!content) return fail({ code: 'not-found', path: ['assignment'], what: 'assignment' });
    queries.updateAssignment(context.db, id, { version: content.version });
  }
  return ok(null);
}

/** Sets the tempo from which a student starts an item; null leaves it to the ladder. */
export function setStart(
  context: Context,
  viewer: Viewer,
  assignmentId: AssignmentId,
  itemId: ItemId,
  startBpm: number | null,
): Result<null> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const found = queries.findGiven(context.db, viewer.studioId, assignmentId);
  if (!found) return fail({ code: 'not-found', path: ['assignment'], what: 'assignment' });
  const { [itemId]: _, ...others } = found.starts;
  const starts = startBpm === null ? others : { ...others, [itemId]: startBpm };
  queries.updateAssignment(context.db, assignmentId, { starts });
  return ok(null);
}
