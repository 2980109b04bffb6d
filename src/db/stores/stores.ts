import { asc } from 'drizzle-orm';
import type { Person, PersonId, StudioId, Viewer } from '@/core/studio';
import { connectionOf, together, writing, type Db } from '../connection';
import { studio, tablet } from '../schema';
import { sha256 } from '../sha256';
import { auditTo } from './audit';
import { erasePerson } from './erase';
import { exercisesOf } from './exercises';
import { familiesOf } from './families';
import { logOf, practisedIn } from './log';
import { materialsOf } from './materials';
import { passesOf } from './passes';
import { peopleOf, personOf, type Studio } from './people';
import { programsOf } from './programs';
import { projectionsOf } from './projections';
import { signInsOf } from './sign-ins';
import { teachingOf } from './teaching';

/** Who a studio's store is opened for: the owner sees all its students, a teacher those whom they teach. */
export interface StoreFor {
  readonly studioId: StudioId;
  readonly personId: PersonId;
  readonly role: 'owner' | 'teacher';
}

/** Everything of one studio that its teacher may touch; nothing of any other. */
export function studioStore(db: Db, { studioId, personId, role }: StoreFor) {
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
  const taught = teachingOf(connection, studioId);
  const isTheirs = (id: PersonId) => role === 'owner' || taught.teaches(personId, id);
  const programs = programsOf(connection, studioId);
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
    programs: {
      ...programs,
      given(of?: PersonId) {
        if (role === 'owner' || of !== undefined) return programs.given(of);
        const own = taught.studentsOf(personId);
        return programs.given().filter(({ student }) => own.has(student.id));
      },
      findGiven(id: Parameters<typeof programs.findGiven>[0]) {
        const given = programs.findGiven(id);
        return given && isTheirs(given.student.id) ? given : null;
      },
    },
    projections: projectionsOf(connection, studioId),
    /** A student who is added is taught by whoever adds them. */
    addPerson(row: Parameters<typeof insert>[0]): void {
      insert(row);
      if (row.role === 'student') taught.set(personId, row.id, true);
    },
    archivePerson: (id: PersonId, at: number | null) => isTheirs(id) && archive(id, at),
    /** In the order in which they came. */
    students() {
      const own = role === 'owner' ? null : taught.studentsOf(personId);
      return list().flatMap((one) =>
        one.role === 'student' && (own?.has(one.id) ?? true) ? [storeOf(db, studioId, one)] : [],
      );
    },
    practised: () => practisedIn(connection, studioId),
    /** One student of theirs; null for anybody else. */
    student: (id: PersonId) => (isTheirs(id) ? studentStore(db, studioId, id) : null),
    /** Shared programs. */
    passes: passesOf(connection, studioId, {}),
    addTablet(row: { id: string; name: string; token: string; createdAt: number }): void {
      const { token, ...rest } = row;
      connection
        .insert(tablet)
        .values({ ...rest, studioId, hash: sha256(token) })
        .run();
    },
    note: auditTo(connection, studioId),
  };
}

export type StudioStore = ReturnType<typeof studioStore>;

/** Everything of one student, for the student and their teachers.
 * @returns null where the studio has no such student */
export function studentStore(db: Db, studioId: StudioId, studentId: PersonId) {
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
    pin: () => people.pin(studentId),
    setPin: (pin: number) => people.setPin(studentId, pin),
    /** Links, codes, readers and the calendar. */
    passes: passesOf(connection, studioId, { personId: studentId }),
    signIns: signInsOf(connection, studioId, studentId),
    /** Teachers of theirs, the one who came first first. */
    teachers: () => teachingOf(connection, studioId).teachersOf(studentId),
    /** @returns whether there is such a teacher; the last one of a student cannot go */
    setTeacher: (teacher: PersonId, teaches: boolean) =>
      teachingOf(connection, studioId).set(teacher, studentId, teaches),
    staff: () =>
      people.list().flatMap(({ id, name, role }) => (role === 'student' ? [] : [{ id, name }])),
    note: auditTo(connection, studioId),
    /** Takes the student and all that is known of them out of the file, for good. */
    erase: () => erasePerson(db, studioId, studentId),
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

/** A studio and who belongs to it. */
export interface StudioDoor extends Pick<Studio, 'id' | 'name' | 'demo'> {
  readonly people: readonly Person[];
}

/** All studios of a file. */
export function listDoors(db: Db): readonly StudioDoor[] {
  const connection = connectionOf(db);
  const studios = connection.select().from(studio).orderBy(asc(studio.id)).all();
  return studios.map(({ id, name, demo }) => ({
    ...{ id, name, demo },
    people: peopleOf(connection, id).list(),
  }));
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

/** A new studio with its owner.
 * @returns the owner's store */
export function openStudioStore(db: Db, row: Studio, owner: Omit<Person, 'role'>): StudioStore {
  const connection = connectionOf(db);
  writing(connection, () => {
    connection.insert(studio).values(row).run();
    peopleOf(connection, row.id).insert({ ...owner, role: 'owner' });
  });
  return studioStore(db, { studioId: row.id, personId: owner.id, role: 'owner' });
}
