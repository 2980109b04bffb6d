import { and, asc, desc, eq, inArray, isNull, max, sql } from 'drizzle-orm';
import type {
  AssignmentId,
  ExerciseId,
  Given,
  ItemId,
  PersonId,
  Program,
  ProgramId,
  StudioId,
} from '@/core/studio';
import type { Starts } from '@/core/program';
import { writing, type Connection } from '../connection';
import { prepared } from '../prepared';
import { assignment, person, program, programItem, programVersion } from '../schema';
import { contentText, readContent, type Content } from './content';

export type NamedProgram = Pick<Program, 'id' | 'name' | 'template'>;

const named = { id: program.id, name: program.name, template: program.template };

/** An assignment in force. */
export interface Assigned extends Given {
  readonly programId: ProgramId;
}

/** From when to when a student has a program, in epoch ms; null while they have it. */
interface Term {
  readonly givenAt: number;
  readonly endedAt: number | null;
}

const columns = {
  assignmentId: assignment.id,
  programId: assignment.programId,
  studentId: assignment.studentId,
  studentName: person.name,
  version: assignment.version,
  starts: assignment.starts,
};

const findGiven = prepared((db) =>
  db
    .select({ ...columns, endedAt: assignment.endedAt, givenAt: assignment.givenAt })
    .from(assignment)
    .innerJoin(person, eq(person.id, assignment.studentId))
    .where(
      and(
        eq(assignment.studioId, sql.placeholder('studio')),
        eq(assignment.id, sql.placeholder('assignment')),
      ),
    )
    .prepare(),
);

const givenTo = prepared((db) =>
  db
    .select(columns)
    .from(assignment)
    .innerJoin(person, eq(person.id, assignment.studentId))
    .where(
      and(
        eq(assignment.studioId, sql.placeholder('studio')),
        eq(assignment.studentId, sql.placeholder('student')),
        isNull(assignment.endedAt),
      ),
    )
    .orderBy(asc(assignment.id))
    .prepare(),
);

type AssignedRow = Omit<Assigned, 'student'> & {
  readonly studentId: PersonId;
  readonly studentName: string;
};

function assignedOf<Row extends AssignedRow>({ studentId, studentName, ...rest }: Row) {
  return { ...rest, student: { id: studentId, name: studentName } };
}

/** A studio's programs, and who has them. */
export function programsOf(db: Connection, studioId: StudioId) {
  const one = (of: ProgramId) => and(eq(program.studioId, studioId), eq(program.id, of));
  const theirs = (of: AssignmentId) =>
    and(eq(assignment.studioId, studioId), eq(assignment.id, of));
  return {
    /** Latest first. */
    list(): NamedProgram[] {
      return db
        .select(named)
        .from(program)
        .where(and(eq(program.studioId, studioId), isNull(program.archivedAt)))
        .orderBy(desc(program.id))
        .all();
    },

    /** Archived ones too, latest first. */
    listAll(): (NamedProgram & { readonly archived: boolean })[] {
      const rows = db
        .select({ ...named, archivedAt: program.archivedAt })
        .from(program)
        .where(eq(program.studioId, studioId))
        .orderBy(desc(program.id))
        .all();
      return rows.map(({ archivedAt, ...row }) => ({ ...row, archived: archivedAt !== null }));
    },

    /** Archived ones too: a student keeps what was given. */
    find(of: ProgramId): NamedProgram | null {
      return db.select(named).from(program).where(one(of)).get() ?? null;
    },

    /** Names of programs by id, archived ones too. */
    names(ids: readonly ProgramId[]): ReadonlyMap<ProgramId, string> {
      const rows = db
        .select({ id: program.id, name: program.name })
        .from(program)
        .where(and(eq(program.studioId, studioId), inArray(program.id, [...ids])))
        .all();
      return new Map(rows.map((row) => [row.id, row.name]));
    },

    insert(row: { id: ProgramId; name: string; createdAt: number }): void {
      db.insert(program)
        .values({ ...row, studioId })
        .run();
    },

    /** @returns whether there is such a program */
    update(
      of: ProgramId,
      change: Partial<{ name: string; archivedAt: number | null; template: boolean }>,
    ): boolean {
      return db.update(program).set(change).where(one(of)).run().changes > 0;
    },

    /** A version of a program; the latest when none is named. */
    content(of: ProgramId, version?: number): Content | null {
      return readContent(db, studioId, of, version);
    },

    /** Numbers of a program's versions, the latest last. */
    versions(of: ProgramId): number[] {
      const { version } = programVersion;
      const here = and(eq(programVersion.studioId, studioId), eq(programVersion.programId, of));
      const rows = db.select({ version }).from(programVersion).where(here).orderBy(asc(version));
      return rows.all().map((row) => row.version);
    },

    /** Every item that a program has, or had. */
    items(of: ProgramId): { readonly id: ItemId; readonly exerciseId: ExerciseId }[] {
      const { id, exerciseId } = programItem;
      const here = and(eq(programItem.studioId, studioId), eq(programItem.programId, of));
      return db.select({ id, exerciseId }).from(programItem).where(here).orderBy(asc(id)).all();
    },

    addItem(of: ProgramId, row: { readonly id: ItemId; readonly exerciseId: ExerciseId }): void {
      db.insert(programItem)
        .values({ ...row, studioId, programId: of })
        .run();
    },

    /** Stores a version: over the one with this number, or as a new one. Its items get their rows. */
    putContent(of: ProgramId, madeAt: number, content: Content): void {
      const { version, revision, outline } = content;
      const text = contentText(content);
      writing(db, () => {
        db.insert(programVersion)
          .values({ studioId, programId: of, version, revision, content: text, madeAt })
          .onConflictDoUpdate({
            target: [programVersion.programId, programVersion.version],
            set: { revision, content: text, madeAt },
            setWhere: eq(programVersion.studioId, studioId),
          })
          .run();
        for (const { id, exerciseId } of outline.sections.flatMap((section) => section.items)) {
          db.insert(programItem)
            .values({ id, studioId, programId: of, exerciseId })
            .onConflictDoNothing()
            .run();
        }
      });
    },

    /** Assignments in force, oldest first: of everybody, or of one student. */
    given(studentId?: PersonId): Assigned[] {
      if (studentId !== undefined) {
        return givenTo(db).all({ studio: studioId, student: studentId }).map(assignedOf);
      }
      return db
        .select(columns)
        .from(assignment)
        .innerJoin(person, eq(person.id, assignment.studentId))
        .where(and(eq(assignment.studioId, studioId), isNull(assignment.endedAt)))
        .orderBy(asc(assignment.id))
        .all()
        .map(assignedOf);
    },

    /** What a student was ever given, in force or over, oldest first. */
    everGiven(studentId: PersonId): (Omit<Assigned, 'student'> & Term)[] {
      const { studentId: _, studentName: __, ...of } = columns;
      const { givenAt, endedAt } = assignment;
      return db
        .select({ ...of, givenAt, endedAt })
        .from(assignment)
        .where(and(eq(assignment.studioId, studioId), eq(assignment.studentId, studentId)))
        .orderBy(asc(assignment.id))
        .all();
    },

    /** An assignment, in force or over. */
    findGiven(of: AssignmentId): (Assigned & { readonly ended: boolean; givenAt: number }) | null {
      const found = findGiven(db).get({ studio: studioId, assignment: of });
      if (!found) return null;
      const { endedAt, ...rest } = found;
      return { ...assignedOf(rest), ended: endedAt !== null };
    },

    give(row: {
      id: AssignmentId;
      programId: ProgramId;
      studentId: PersonId;
      givenAt: number;
      version: number;
    }): void {
      db.insert(assignment)
        .values({ ...row, studioId })
        .run();
    },

    updateGiven(
      of: AssignmentId,
      change: Partial<{
        endedAt: number | null;
        version: number;
        starts: Starts;
      }>,
    ): void {
      db.update(assignment).set(change).where(theirs(of)).run();
    },

    /** The highest version of a program that anybody has; 0 when nobody does. */
    versionInUse(of: ProgramId): number {
      const row = db
        .select({ version: max(assignment.version) })
        .from(assignment)
        .where(
          and(
            eq(assignment.studioId, studioId),
            eq(assignment.programId, of),
            isNull(assignment.endedAt),
          ),
        )
        .get();
      return row?.version ?? 0;
    },
  };
}
