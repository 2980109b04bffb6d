import { and, asc, desc, eq, inArray, isNull, max } from 'drizzle-orm';
import { must } from '@/core/issue';
import { outlineSchema, type Outline } from '@/core/program';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
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
import type { Db } from '../open';
import { assignment, person, program, programItem, programVersion } from '../schema';

export type NamedProgram = Pick<Program, 'id' | 'name' | 'template'>;

const named = { id: program.id, name: program.name, template: program.template };

/** Latest first. */
export function listPrograms(db: Db, studioId: StudioId): NamedProgram[] {
  return db
    .select(named)
    .from(program)
    .where(and(eq(program.studioId, studioId), isNull(program.archivedAt)))
    .orderBy(desc(program.id))
    .all();
}

/** Archived ones too: a student keeps what was given. */
export function findProgram(db: Db, studioId: StudioId, id: ProgramId): NamedProgram | null {
  return (
    db
      .select(named)
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
  change: Partial<{ name: string; archivedAt: number | null; template: boolean }>,
): void {
  db.update(program).set(change).where(eq(program.id, id)).run();
}

/** A version of a program, its recipes taken out of the outline. */
export interface Content {
  readonly version: number;
  readonly revision: number;
  readonly outline: Outline;
  readonly recipes: Readonly<Record<ItemId, ClosedRecipe>>;
}

/** Contents are long and seldom change: each is read once for its revision. */
const READ = new WeakMap<Db, Map<string, Content>>();
const MOST_READ = 400;

/** A version of a program; the latest when none is named. Stored contents were checked before they
 * were stored: one that cannot be read is a broken file, and throws. */
export function findContent(db: Db, id: ProgramId, version?: number): Content | null {
  const row = db
    .select({ version: programVersion.version, revision: programVersion.revision })
    .from(programVersion)
    .where(
      and(
        eq(programVersion.programId, id),
        version === undefined ? undefined : eq(programVersion.version, version),
      ),
    )
    .orderBy(desc(programVersion.version))
    .limit(1)
    .get();
  if (!row) return null;
  const read = READ.get(db) ?? new Map<string, Content>();
  READ.set(db, read);
  const key = `${id} ${row.version} ${row.revision}`;
  let content = read.get(key);
  if (!content) {
    content = readContent(db, id, row.version);
    if (read.size >= MOST_READ) read.clear();
    read.set(key, content);
  }
  return content;
}

interface StoredItem {
  readonly id: ItemId;
  readonly recipe: unknown;
}

function readContent(db: Db, id: ProgramId, version: number): Content {
  const row = db
    .select()
    .from(programVersion)
    .where(and(eq(programVersion.programId, id), eq(programVersion.version, version)))
    .get();
  if (!row) throw new Error(`no version ${version} of ${id}`);
  const stored = JSON.parse(row.content) as {
    sections: { items: StoredItem[] }[];
  };
  const recipes: Record<ItemId, ClosedRecipe> = {};
  const sections = stored.sections.map((section) => ({
    ...section,
    items: section.items.map(({ recipe, ...item }) => {
      recipes[item.id] = must(close(must(readRecipe(recipe))));
      return item;
    }),
  }));
  const { revision } = row;
  return { version, revision, outline: outlineSchema.parse({ sections }), recipes };
}

/** Stores a version: over the one with this number, or as a new one. Its items get their rows. */
export function putContent(
  db: Db,
  of: { id: ProgramId; studioId: StudioId; madeAt: number },
  content: Content,
): void {
  const sections = content.outline.sections.map((section) => ({
    ...section,
    items: section.items.map((item) => ({ ...item, recipe: content.recipes[item.id] })),
  }));
  const { version, revision } = content;
  const text = JSON.stringify({ sections });
  db.transaction((tx) => {
    tx.insert(programVersion)
      .values({ programId: of.id, version, revision, content: text, madeAt: of.madeAt })
      .onConflictDoUpdate({
        target: [programVersion.programId, programVersion.version],
        set: { revision, content: text, madeAt: of.madeAt },
      })
      .run();
    for (const { id, exerciseId } of sections.flatMap((section) => section.items)) {
      tx.insert(programItem)
        .values({ id, studioId: of.studioId, programId: of.id, exerciseId })
        .onConflictDoNothing()
        .run();
    }
  });
}

/** The program and exercise that an item names. */
export function findItem(
  db: Db,
  studioId: StudioId,
  id: ItemId,
): { programId: ProgramId; exerciseId: ExerciseId } | null {
  return (
    db
      .select({ programId: programItem.programId, exerciseId: programItem.exerciseId })
      .from(programItem)
      .where(and(eq(programItem.studioId, studioId), eq(programItem.id, id)))
      .get() ?? null
  );
}

/** An assignment in force. */
export interface Assigned extends Given {
  readonly programId: ProgramId;
}

const columns = {
  assignmentId: assignment.id,
  programId: assignment.programId,
  studentId: assignment.studentId,
  studentName: person.name,
  version: assignment.version,
  starts: assignment.starts,
};

function assignedOf(row: {
  assignmentId: AssignmentId;
  programId: ProgramId;
  studentId: PersonId;
  studentName: string;
  version: number;
  starts: Readonly<Record<ItemId, number>>;
}): Assigned {
  const { studentId, studentName, ...rest } = row;
  return { ...rest, student: { id: studentId, name: studentName } };
}

/** Assignments in force in a studio, or of one student in it, oldest first. */
export function listGiven(db: Db, studioId: StudioId, studentId?: PersonId): Assigned[] {
  return db
    .select(columns)
    .from(assignment)
    .innerJoin(person, eq(person.id, assignment.studentId))
    .where(
      and(
        eq(assignment.studioId, studioId),
        isNull(assignment.endedAt),
        studentId === undefined ? undefined : eq(assignment.studentId, studentId),
      ),
    )
    .orderBy(asc(assignment.id))
    .all()
    .map(assignedOf);
}

export function findGiven(db: Db, studioId: StudioId, id: AssignmentId): Assigned | null {
  const row = db
    .select(columns)
    .from(assignment)
    .innerJoin(person, eq(person.id, assignment.studentId))
    .where(
      and(eq(assignment.studioId, studioId), eq(assignment.id, id), isNull(assignment.endedAt)),
    )
    .get();
  return row ? assignedOf(row) : null;
}

export function insertAssignment(
  db: Db,
  row: {
    id: AssignmentId;
    studioId: StudioId;
    programId: ProgramId;
    studentId: PersonId;
    givenAt: number;
    version: number;
  },
): void {
  db.insert(assignment).values(row).run();
}

export function updateAssignment(
  db: Db,
  id: AssignmentId,
  change: Partial<{
    endedAt: number | null;
    version: number;
    starts: Readonly<Record<ItemId, number>>;
  }>,
): void {
  db.update(assignment).set(change).where(eq(assignment.id, id)).run();
}

/** The highest version of a program that anybody has; 0 when nobody does. */
export function versionInUse(db: Db, id: ProgramId): number {
  const row = db
    .select({ version: max(assignment.version) })
    .from(assignment)
    .where(and(eq(assignment.programId, id), isNull(assignment.endedAt)))
    .get();
  return row?.version ?? 0;
}

/** Names of programs by id, archived ones too. */
export function programNames(db: Db, ids: readonly ProgramId[]): ReadonlyMap<ProgramId, string> {
  const rows = db
    .select({ id: program.id, name: program.name })
    .from(program)
    .where(inArray(program.id, [...ids]))
    .all();
  return new Map(rows.map((row) => [row.id, row.name]));
}
