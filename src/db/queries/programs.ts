import { and, asc, count, desc, eq, isNull, max } from 'drizzle-orm';
import { advanceRuleSchema, dosageSchema, ladderSchema, type Course } from '@/core/ladder';
import type {
  AssignmentId,
  ExerciseId,
  ItemId,
  PersonId,
  Program,
  ProgramId,
  ProgramItem,
  StudioId,
} from '@/core/studio';
import type { Db } from '../open';
import { assignment, exercise, ladder, person, program, programItem } from '../schema';
import { savedExerciseOf } from './exercises';

type NamedProgram = Pick<Program, 'id' | 'name'>;

/** Latest first. */
export function listPrograms(db: Db, studioId: StudioId): NamedProgram[] {
  return db
    .select({ id: program.id, name: program.name })
    .from(program)
    .where(and(eq(program.studioId, studioId), isNull(program.archivedAt)))
    .orderBy(desc(program.id))
    .all();
}

/** Archived ones too: a student keeps what was given. */
export function findProgram(db: Db, studioId: StudioId, id: ProgramId): NamedProgram | null {
  return (
    db
      .select({ id: program.id, name: program.name })
      .from(program)
      .where(and(eq(program.studioId, studioId), eq(program.id, id)))
      .get() ?? null
  );
}

export function insertProgram(
  db: Db,
  row: { id: ProgramId; studioId: StudioId; name: string; createdAt: number },
): void {
  db.insert(program).values(row).run();
}

export function updateProgram(
  db: Db,
  id: ProgramId,
  change: Partial<{ name: string; archivedAt: number | null }>,
): void {
  db.update(program).set(change).where(eq(program.id, id)).run();
}

/** Items of a program in order, without removed ones. */
export function listItems(db: Db, programId: ProgramId): ProgramItem[] {
  return db
    .select({ item: programItem, exercise, ladder })
    .from(programItem)
    .innerJoin(exercise, eq(exercise.id, programItem.exerciseId))
    .innerJoin(ladder, eq(ladder.itemId, programItem.id))
    .where(and(eq(programItem.programId, programId), isNull(programItem.removedAt)))
    .orderBy(asc(programItem.position), asc(programItem.id))
    .all()
    .map((row) => ({
      id: row.item.id,
      exercise: savedExerciseOf(row.exercise),
      course: courseOf(row.ladder),
    }));
}

/** How many items every program of a studio has, removed ones left out. */
export function countItems(db: Db, studioId: StudioId): ReadonlyMap<ProgramId, number> {
  const rows = db
    .select({ programId: programItem.programId, items: count() })
    .from(programItem)
    .where(and(eq(programItem.studioId, studioId), isNull(programItem.removedAt)))
    .groupBy(programItem.programId)
    .all();
  return new Map(rows.map((row) => [row.programId, row.items]));
}

function courseOf(row: Pick<typeof ladder.$inferSelect, 'ladder' | 'dosage' | 'rule'>): Course {
  return {
    ladder: ladderSchema.parse(row.ladder),
    dosage: dosageSchema.parse(row.dosage),
    rule: advanceRuleSchema.parse(row.rule),
  };
}

/** The course of an item, also of a removed one. */
export function findCourse(db: Db, itemId: ItemId): Course | null {
  const row = db.select().from(ladder).where(eq(ladder.itemId, itemId)).get();
  return row ? courseOf(row) : null;
}

/** The program that an item belongs to, removed items included. */
export function findItem(
  db: Db,
  studioId: StudioId,
  id: ItemId,
): { programId: ProgramId; exerciseId: ExerciseId; removed: boolean } | null {
  const row = db
    .select()
    .from(programItem)
    .where(and(eq(programItem.studioId, studioId), eq(programItem.id, id)))
    .get();
  return row
    ? { programId: row.programId, exerciseId: row.exerciseId, removed: row.removedAt !== null }
    : null;
}

export function insertItem(
  db: Db,
  row: { id: ItemId; studioId: StudioId; programId: ProgramId; exerciseId: ExerciseId },
  course: Course,
): void {
  db.transaction((tx) => {
    const last = tx
      .select({ position: max(programItem.position) })
      .from(programItem)
      .where(eq(programItem.programId, row.programId))
      .get();
    tx.insert(programItem)
      .values({ ...row, position: (last?.position ?? -1) + 1 })
      .run();
    tx.insert(ladder)
      .values({ itemId: row.id, studioId: row.studioId, ...course })
      .run();
  });
}

export function updateCourse(db: Db, itemId: ItemId, course: Course): void {
  db.update(ladder).set(course).where(eq(ladder.itemId, itemId)).run();
}

export function setRemoved(db: Db, itemId: ItemId, removedAt: number | null): void {
  db.update(programItem).set({ removedAt }).where(eq(programItem.id, itemId)).run();
}

/** Puts the items in this order. */
export function orderItems(db: Db, itemIds: readonly ItemId[]): void {
  db.transaction((tx) => {
    itemIds.forEach((id, position) => {
      tx.update(programItem).set({ position }).where(eq(programItem.id, id)).run();
    });
  });
}

export interface Given {
  readonly assignmentId: AssignmentId;
  readonly programId: ProgramId;
  readonly studentId: PersonId;
  readonly studentName: string;
}

const given = {
  assignmentId: assignment.id,
  programId: assignment.programId,
  studentId: assignment.studentId,
  studentName: person.name,
};

/** Assignments in force in a studio, oldest first. */
export function listGiven(db: Db, studioId: StudioId): Given[] {
  return db
    .select(given)
    .from(assignment)
    .innerJoin(person, eq(person.id, assignment.studentId))
    .where(and(eq(assignment.studioId, studioId), isNull(assignment.endedAt)))
    .orderBy(asc(assignment.id))
    .all();
}

export function findGiven(db: Db, studioId: StudioId, id: AssignmentId): Given | null {
  return (
    db
      .select(given)
      .from(assignment)
      .innerJoin(person, eq(person.id, assignment.studentId))
      .where(
        and(eq(assignment.studioId, studioId), eq(assignment.id, id), isNull(assignment.endedAt)),
      )
      .get() ?? null
  );
}

export function insertAssignment(
  db: Db,
  row: {
    id: AssignmentId;
    studioId: StudioId;
    programId: ProgramId;
    studentId: PersonId;
    givenAt: number;
  },
): void {
  db.insert(assignment).values(row).run();
}

export function endAssignment(db: Db, id: AssignmentId, endedAt: number | null): void {
  db.update(assignment).set({ endedAt }).where(eq(assignment.id, id)).run();
}
