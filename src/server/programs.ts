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
} from '@/core/studio';
import type { Content } from '@/db';
import { openStudent, type Teacher } from './authority';
import { newId } from './context';
import { getExercise } from './exercises';
import { readName } from './names';

const WHAT = 'program';

/** The studio's programs, latest first, with how many items and who has them. */
export function listPrograms(me: Teacher): Result<readonly ProgramSummary[]> {
  const given = me.store.programs.given();
  return ok(
    me.store.programs.list().map((program) => ({
      ...program,
      items: itemsOf(contentOf(me, program.id).outline).length,
      students: given.filter((one) => one.programId === program.id).map((one) => one.student.name),
    })),
  );
}

/** What a program holds: its latest version where none is named. */
export function contentOf(me: Teacher, id: ProgramId, version?: number): Content {
  const found = me.store.programs.content(id, version);
  return found ?? { version: 1, revision: 0, outline: EMPTY_OUTLINE, recipes: {} };
}

export function getProgram(me: Teacher, id: ProgramId): Result<Program> {
  const found = me.store.programs.find(id);
  if (!found) return fail({ code: 'not-found', path: ['id'], what: WHAT });
  const content = contentOf(me, id);
  const given = me.store.programs
    .given()
    .filter((one) => one.programId === id)
    .map(({ programId: _, ...one }) => one);
  return ok({ ...found, ...content, stale: staleItems(me, content.outline), given });
}

/** Items whose exercise was saved anew since, with what it plays now. */
function staleItems(me: Teacher, outline: Outline): Record<ItemId, string> {
  const names = me.store.exercises.names();
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
  me: Teacher,
  typed: string,
  from: ProgramId | null = null,
): Result<ProgramId> {
  const name = readName(typed, WHAT);
  if (!name.ok) return name;
  const source = from === null ? null : getProgram(me, from);
  if (source && !source.ok) return source;
  const id = newId<'program'>(me);
  const createdAt = me.now();
  me.store.together(() => {
    me.store.programs.insert({ id, name: name.value, createdAt });
    const content = source ? copyOf(me, source.value) : contentOf(me, id);
    me.store.programs.putContent(id, createdAt, { ...content, version: 1 });
  });
  return ok(id);
}

/** The same exercises under ids of their own: a copy's log is its own. */
function copyOf(me: Teacher, { outline, recipes }: Program): Content {
  const copied = copyOutline(outline, me.now(), () => randomBytes(12));
  const before = itemsOf(outline);
  const own: Record<ItemId, ClosedRecipe> = {};
  itemsOf(copied).forEach((item, index) => {
    const recipe = recipes[before[index]?.id ?? item.id];
    if (recipe) own[item.id] = recipe;
  });
  return { version: 1, revision: 1, outline: copied, recipes: own };
}

export function renameProgram(me: Teacher, id: ProgramId, typed: string): Result<null> {
  const found = getProgram(me, id);
  if (!found.ok) return found;
  const name = readName(typed, WHAT);
  if (!name.ok) return name;
  me.store.programs.update(id, { name: name.value });
  return ok(null);
}

/** Takes a program out of the list, or back in; students who have it keep it. */
export function archiveProgram(me: Teacher, id: ProgramId, archived: boolean): Result<null> {
  const found = getProgram(me, id);
  if (!found.ok) return found;
  me.store.programs.update(id, { archivedAt: archived ? me.now() : null });
  return ok(null);
}

/** Keeps a program as a start for others, or as one like any other. */
export function setTemplate(me: Teacher, id: ProgramId, template: boolean): Result<null> {
  const found = getProgram(me, id);
  if (!found.ok) return found;
  me.store.programs.update(id, { template });
  return ok(null);
}

/** Stores what a program holds. Over the latest version while nobody has it, else as a new one: those
 * who have the program keep theirs until they follow.
 * @param revision the one that the change was made on
 * @returns issues `program-changed`, `after-circle`, `after-missing`, `not-found` for an exercise */
export function saveOutline(
  me: Teacher,
  id: ProgramId,
  change: { readonly revision: number; readonly outline: Outline },
): Result<Program> {
  const program = getProgram(me, id);
  if (!program.ok) return program;
  if (change.revision !== program.value.revision) {
    return fail({ code: 'program-changed', path: [] });
  }
  const checked = checkOutline(change.outline);
  if (!checked.ok) return checked;
  const recipes = recipesFor(me, checked.value, program.value);
  if (!recipes.ok) return recipes;
  const inUse = me.store.programs.versionInUse(id) >= program.value.version;
  const content = {
    version: program.value.version + (inUse ? 1 : 0),
    revision: program.value.revision + 1,
    outline: checked.value,
    recipes: recipes.value,
  };
  me.store.programs.putContent(id, me.now(), content);
  return getProgram(me, id);
}

/** Each item keeps the recipe it was put in with, until it asks for what its exercise plays now. */
function recipesFor(
  me: Teacher,
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
    const exercise = getExercise(me, exerciseId);
    if (!exercise.ok) issues.push(...exercise.issues);
    else if (known && recipeHash(known) === hash) recipes[id] = known;
    else recipes[id] = exercise.value.recipe;
  }
  return issues.length > 0 ? fail(...issues) : ok(recipes);
}

/** Puts an exercise at the end of a program. */
export function addItem(
  me: Teacher,
  programId: ProgramId,
  exerciseId: ExerciseId,
  course: Course = USUAL_COURSE,
): Result<ItemId> {
  const added = addItems(me, programId, [{ exerciseId, course }]);
  if (!added.ok) return added;
  const [id] = added.value;
  if (!id) throw new Error('nothing was added');
  return ok(id);
}

/** Puts an exercise at the end of a program.
 * @param to a program, or the name of a new one */
export function addToProgram(
  me: Teacher,
  to: { readonly id: ProgramId } | { readonly name: string },
  exerciseId: ExerciseId,
): Result<ProgramId> {
  const exercise = getExercise(me, exerciseId);
  if (!exercise.ok) return exercise;
  return me.store.together(() => {
    const program = 'id' in to ? ok(to.id) : createProgram(me, to.name);
    if (!program.ok) return program;
    const added = addItem(me, program.value, exerciseId);
    return added.ok ? program : added;
  });
}

/** Puts exercises at the end of a program, in their order; all of them, or none.
 * @returns the ids of their items */
export function addItems(
  me: Teacher,
  programId: ProgramId,
  added: readonly {
    readonly exerciseId: ExerciseId;
    readonly course: Course;
    /** Whether it waits for the one before it among these. */
    readonly follows?: boolean;
    readonly cues?: readonly string[];
  }[],
): Result<readonly ItemId[]> {
  const program = getProgram(me, programId);
  if (!program.ok) return program;
  let { outline } = program.value;
  const ids: ItemId[] = [];
  for (const { exerciseId, course, follows, cues = [] } of added) {
    const exercise = getExercise(me, exerciseId);
    if (!exercise.ok) return exercise;
    const id = newId<'item'>(me);
    const { hash, name } = exercise.value;
    const before = follows ? ids.slice(-1) : [];
    outline = withItem(outline, { id, exerciseId, hash, name, after: before, cues }, course);
    ids.push(id);
  }
  const { revision } = program.value;
  const saved = saveOutline(me, programId, { revision, outline });
  return saved.ok ? ok(ids) : saved;
}

/** Hands a program to a student: the latest version.
 * @returns issues `program-empty`, `already-given` */
export function giveProgram(
  me: Teacher,
  programId: ProgramId,
  studentId: PersonId,
): Result<AssignmentId> {
  const program = getProgram(me, programId);
  if (!program.ok) return program;
  const student = openStudent(me, studentId);
  if (!student.ok) return student;
  const { name, outline, given, version } = program.value;
  if (itemsOf(outline).length === 0) {
    return fail({ code: 'program-empty', path: ['items'], name });
  }
  if (given.some((one) => one.student.id === studentId)) {
    const facts = { program: name, student: student.value.person.name };
    return fail({ code: 'already-given', path: ['student'], ...facts });
  }
  const id = newId<'assignment'>(me);
  const givenAt = me.now();
  me.store.programs.give({ id, programId, studentId, givenAt, version });
  return ok(id);
}

/** An assignment in force. */
function inForce(me: Teacher, id: AssignmentId) {
  const found = me.store.programs.findGiven(id);
  const given = found && !found.ended ? ok(found) : null;
  return given ?? fail({ code: 'not-found', path: ['assignment'], what: 'assignment' });
}

/** Takes a program back from a student, or gives it again with its log.
 * @returns issues `not-found`, and `already-given` where the student was given it anew meanwhile */
export function takeBack(me: Teacher, assignmentId: AssignmentId, ended: boolean): Result<null> {
  const { programs } = me.store;
  if (ended) {
    const given = inForce(me, assignmentId);
    if (!given.ok) return given;
    programs.updateGiven(assignmentId, { endedAt: me.now() });
    return ok(null);
  }
  const found = programs.findGiven(assignmentId);
  if (!found) return fail({ code: 'not-found', path: ['assignment'], what: 'assignment' });
  const { programId, student } = found;
  const again = programs.given(student.id).find((one) => one.programId === programId);
  if (again && again.assignmentId !== assignmentId) {
    const program = programs.find(programId)?.name ?? '';
    return fail({ code: 'already-given', path: ['student'], program, student: student.name });
  }
  programs.updateGiven(assignmentId, { endedAt: null });
  return ok(null);
}

/** Lets students have a version of what they were given. Their logs go on: ladders are replayed.
 * @param version the latest when left out
 * @returns issue `not-found` for an assignment that has ended, or a version that never was */
export function followVersion(
  me: Teacher,
  assignmentIds: readonly AssignmentId[],
  version?: number,
): Result<null> {
  const { programs, together } = me.store;
  const issues: Issue[] = [];
  const changes = assignmentIds.flatMap((id) => {
    const given = inForce(me, id);
    if (!given.ok) issues.push(...given.issues);
    const content = given.ok ? programs.content(given.value.programId, version) : null;
    if (given.ok && !content) {
      issues.push({ code: 'not-found', path: ['version'], what: 'version' });
    }
    return content ? [{ id, version: content.version }] : [];
  });
  if (issues.length > 0) return fail(...issues);
  together(() => {
    for (const { id, version: to } of changes) programs.updateGiven(id, { version: to });
  });
  return ok(null);
}

/** Sets the tempo from which a student starts an item; null leaves it to the ladder.
 * @returns issue `not-found` for an assignment that has ended */
export function setStart(
  me: Teacher,
  assignmentId: AssignmentId,
  itemId: ItemId,
  startBpm: number | null,
): Result<null> {
  const given = inForce(me, assignmentId);
  if (!given.ok) return given;
  const { [itemId]: _, ...others } = given.value.starts;
  const starts = startBpm === null ? others : { ...others, [itemId]: startBpm };
  me.store.programs.updateGiven(assignmentId, { starts });
  return ok(null);
}
