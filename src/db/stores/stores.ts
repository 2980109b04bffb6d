import { asc, eq } from 'drizzle-orm';
import type { Person, PersonId, StudioId, Viewer } from '@/core/studio';
import { connectionOf, together, type Db } from '../connection';
import { person, studio } from '../schema';
import { exercisesOf } from './exercises';
import { familiesOf } from './families';
import { logOf, practisedIn } from './log';
import { materialsOf } from './materials';
import { peopleOf, personOf, type Studio } from './people';
import { programsOf } from './programs';
import { projectionsOf } from './projections';

/** Everything of one studio, for its teacher; nothing of any other. */
export function studioStore(db: Db, studioId: StudioId) {
  const connection = connectionOf(db);
  const {
    insert,
    list,
    studio: here,
    setSpeech,
    setSteps,
    setAddress,
    archive,
  } = peopleOf(connection, studioId);
  return {
    id: studioId,
    /** Names the file, for what is kept of it; nothing can be opened with it. */
    file: db as object,
    studio: here,
    setSpeech,
    setSteps,
    setAddress,
    /** Does several things, all or none. */
    together: <T>(run: () => T): T => together(db, run),
    exercises: exercisesOf(connection, studioId),
    families: familiesOf(connection, studioId),
    materials: materialsOf(connection, studioId),
    programs: programsOf(connection, studioId),
    projections: projectionsOf(connection, studioId),
    addPerson: insert,
    archivePerson: archive,
    /** In the order in which they came. */
    students: () =>
      list().flatMap((one) => (one.role === 'student' ? [storeOf(db, studioId, one)] : [])),
    practised: () => practisedIn(connection, studioId),
    /** One student of the studio; null for anybody else. */
    student: (id: PersonId) => studentStore(db, studioId, id),
  };
}

export type StudioStore = ReturnType<typeof studioStore>;

/** Everything of one student, for the student and the studio's teacher.
 * @returns null where the studio has no such student */
function studentStore(db: Db, studioId: StudioId, studentId: PersonId) {
  const found = peopleOf(connectionOf(db), studioId).find(studentId);
  return found?.role === 'student' ? storeOf(db, studioId, found) : null;
}

function storeOf(db: Db, studioId: StudioId, student: Person) {
  const connection = connectionOf(db);
  const people = peopleOf(connection, studioId);
  const programs = programsOf(connection, studioId);
  const { id: studentId } = student;
  return {
    id: studentId,
    /** Names the file, for what is kept of it; nothing can be opened with it. */
    file: db as object,
    person: student,
    studio: people.studio,
    setKit: (kit: Parameters<typeof people.setKit>[1]) => people.setKit(studentId, kit),
    schedule: () => people.schedule(studentId),
    setSchedule: (schedule: Parameters<typeof people.setSchedule>[1]) =>
      people.setSchedule(studentId, schedule),
    feed: () => people.feed(studentId),
    setFeed: (feed: string) => people.setFeed(studentId, feed),
    /** Assignments in force, oldest first. */
    given: () => programs.given(studentId),
    /** Assignments in force or over, oldest first. */
    everGiven: () => programs.everGiven(studentId),
    /** An assignment of this student's, in force or over. */
    findGiven: (id: Parameters<typeof programs.findGiven>[0]) => {
      const given = programs.findGiven(id);
      return given?.student.id === studentId ? given : null;
    },
    programNames: programs.names,
    content: programs.content,
    log: logOf(connection, studioId, studentId),
    /** Does several things, all or none. */
    together: <T>(run: () => T): T => together(db, run),
  };
}

export type StudentStore = ReturnType<typeof storeOf>;

/** A studio and who may look from it: what the start page offers until there are accounts. */
export interface StudioDoor extends Pick<Studio, 'id' | 'name'> {
  readonly people: readonly Person[];
}

/** All studios of a file, for the start page. */
export function listDoors(db: Db): readonly StudioDoor[] {
  const connection = connectionOf(db);
  const studios = connection.select().from(studio).orderBy(asc(studio.id)).all();
  return studios.map(({ id, name }) => ({ id, name, people: peopleOf(connection, id).list() }));
}

/** Where the studios of a file are reached, as their teachers have set it. */
export function listAddresses(db: Db): readonly string[] {
  const rows = connectionOf(db).select({ address: studio.address }).from(studio).all();
  return rows.flatMap(({ address }) => address ?? []);
}

/** The viewer that a person is; null when there is no such person (any more). */
export function findViewer(db: Db, personId: PersonId): (Viewer & { name: string }) | null {
  const found = personOf(connectionOf(db), personId);
  return found && { studioId: found.studioId, role: found.role, personId, name: found.name };
}

/** The student whose calendar a secret address opens; null where there is none such (any more). */
export function findFeed(db: Db, feed: string): Viewer | null {
  const found = connectionOf(db)
    .select({ id: person.id })
    .from(person)
    .where(eq(person.feed, feed))
    .get();
  return found ? findViewer(db, found.id) : null;
}

/** A new studio, and its store. */
export function openStudioStore(db: Db, row: Studio): StudioStore {
  connectionOf(db).insert(studio).values(row).run();
  return studioStore(db, row.id);
}
