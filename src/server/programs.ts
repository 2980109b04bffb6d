import { fail, ok, type Result } from '@/core/issue';
import { makeCourse, USUAL_COURSE, type Course, type TypedCourse } from '@/core/ladder';
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

/** The studio's programs, latest first, with how many items and who has them. */
export function listPrograms(context: Context, viewer: Viewer): Result<readonly ProgramSummary[]> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const given = queries.listGiven(context.db, viewer.studioId);
  const items = queries.countItems(context.db, viewer.studioId);
  return ok(
    queries.listPrograms(context.db, viewer.studioId).map((program) => ({
      ...program,
      items: items.get(program.id) ?? 0,
      students: given.filter((one) => one.programId === program.id).map((one) => one.studentName),
    })),
  );
}

export function getProgram(context: Context, viewer: Viewer, id: ProgramId): Result<Program> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const found = queries.findProgram(context.db, viewer.studioId, id);
  if (!found) return fail({ code: 'not-found', path: ['id'], what: WHAT });
  const given = queries
    .listGiven(context.db, viewer.studioId)
    .filter((one) => one.programId === id)
    .map(({ assignmentId, studentId, studentName }) => ({
      assignmentId,
      student: { id: studentId, name: studentName },
    }));
  return ok({ ...found, items: queries.listItems(context.db, id), given });
}

export function createProgram(context: Context, viewer: Viewer, typed: string): Result<ProgramId> {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const name = readName(typed, WHAT);
  if (!name.ok) return name;
  const id = newId<'program'>(context);
  queries.insertProgram(context.db, {
    id,
    studioId: viewer.studioId,
    name: name.value,
    createdAt: context.now(),
  });
  return ok(id);
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

export function addItem(
  context: Context,
  viewer: Viewer,
  programId: ProgramId,
  exerciseId: ExerciseId,
  course: Course = USUAL_COURSE,
): Result<ItemId> {
  const program = getProgram(context, viewer, programId);
  if (!program.ok) return program;
  const exercise = getExercise(context, viewer, exerciseId);
  if (!exercise.ok) return exercise;
  const id = newId<'item'>(context);
  queries.insertItem(context.db, { id, studioId: viewer.studioId, programId, exerciseId }, course);
  return ok(id);
}

/** Sets an item's ladder, dosage and rule. All progress replays from the log, so that a change
 * loses nothing.
 * @returns all fields' issues at once, each with its field as path */
export function setCourse(
  context: Context,
  viewer: Viewer,
  itemId: ItemId,
  typed: TypedCourse,
): Result<Course> {
  const item = ownItem(context, viewer, itemId);
  if (!item.ok) return item;
  const course = makeCourse(typed);
  if (course.ok) queries.updateCourse(context.db, itemId, course.value);
  return course;
}

/** Takes an item out of its program, or back in; its log stays. */
export function removeItem(
  context: Context,
  viewer: Viewer,
  itemId: ItemId,
  removed: boolean,
): Result<null> {
  const item = ownItem(context, viewer, itemId);
  if (!item.ok) return item;
  queries.setRemoved(context.db, itemId, removed ? context.now() : null);
  return ok(null);
}

/** Moves an item up (-1) or down (+1) among its neighbours; at either end it stays. */
export function moveItem(
  context: Context,
  viewer: Viewer,
  itemId: ItemId,
  by: -1 | 1,
): Result<null> {
  const item = ownItem(context, viewer, itemId);
  if (!item.ok) return item;
  const ids = queries.listItems(context.db, item.value.programId).map((one) => one.id);
  const from = ids.indexOf(itemId);
  const to = from + by;
  const other = ids[to];
  if (from >= 0 && other !== undefined) {
    ids[from] = other;
    ids[to] = itemId;
    queries.orderItems(context.db, ids);
  }
  return ok(null);
}

function ownItem(context: Context, viewer: Viewer, itemId: ItemId) {
  const refused = teacherOnly(viewer, WHAT);
  if (refused) return refused;
  const item = queries.findItem(context.db, viewer.studioId, itemId);
  return item ? ok(item) : fail({ code: 'not-found', path: ['item'], what: 'item' });
}

/** Hands a program to a student.
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
  const { name, items, given } = program.value;
  if (items.length === 0) return fail({ code: 'program-empty', path: ['items'], name });
  if (given.some((one) => one.student.id === studentId)) {
    const facts = { program: name, student: student.name };
    return fail({ code: 'already-given', path: ['student'], ...facts });
  }
  const id = newId<'assignment'>(context);
  const { studioId } = viewer;
  queries.insertAssignment(context.db, {
    id,
    studioId,
    programId,
    studentId,
    givenAt: context.now(),
  });
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
  queries.endAssignment(context.db, assignmentId, ended ? context.now() : null);
  return ok(null);
}
