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
    rename,
    hasTablet,
    withWaysIn,
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
    hasTablet,
    withWaysIn,
    /** Whoever looks, by another name from now on. */
    renameMe: (name: string) => rename(personId, name),
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
    /** How one student of theirs gets in; null for anybody else. */
    waysIn: (id: PersonId) => (isTheirs(id) ? waysStore(db, studioId, id) : null),
    /** Addresses of programs. */
    shared: passesOf(connection, studioId, ['program']),
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

/** How one student gets in, and what else their teachers decide about them: for teachers, and for the doors that they
 * come in by; never for the student.
 * @returns null where the studio has no such student */
export function waysStore(db: Db, studioId: StudioId, id: PersonId) {
  const student = studentStore(db, studioId, id);
  if (!student) return null;
  const connection = connectionOf(db);
  const people = peopleOf(connection, studioId);
  const taught = teachingOf(connection, studioId);
  return {
    id,
    student,
    pin: () => people.pin(id),
    setPin: (pin: number) => people.setPin(id, pin),
    passes: passesOf(connection, studioId, ['student', 'code', 'reader'], { personId: id }),
    signIns: signInsOf(connection, studioId, id),
    /** Teachers of theirs, the one who came first first. */
    teachers: () => taught.teachersOf(id),
    /** @returns whether there is such a teacher; the last one of a student cannot go */
    setTeacher: (teacher: PersonId, teaches: boolean) => taught.set(teacher, id, teaches),
    /** Everybody who teaches in the studio. */
    staff: () =>
      people
        .list()
        .flatMap(({ id: of, name, role }) => (role === 'student' ? [] : [{ id: of, name }])),
    note: auditTo(connection, studioId),
    /** Takes the student and all that is known of them out of the file, for good. */
    erase: () => erasePerson(db, studioId, id),
  };
}

export type WaysStore = NonNullable<ReturnType<typeof waysStore>>;

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
    /** Addresses of the plan's calendar. */
    calendars: passesOf(connection, studioId, ['calendar'], { personId: studentId }),
    note: auditTo(connection, studioId),
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

/** A studio, and whether everybody may look around in it. */
export type StudioName = Pick<Studio, 'id' | 'name' | 'demo'>;

/** A studio and who belongs to it. */
export interface StudioDoor extends StudioName {
  readonly people: readonly Person[];
}

/** All studios of a file. */
export function listStudios(db: Db): readonly StudioName[] {
  const { id, name, demo } = studio;
  return connectionOf(db).select({ id, name, demo }).from(studio).orderBy(asc(id)).all();
}

/** All studios of a file, or those to look around in, with who belongs to them. */
export function listDoors(db: Db, demoAlone = false): readonly StudioDoor[] {
  return listStudios(db)
    .filter(({ demo }) => demo || !demoAlone)
    .map((one) => ({ ...one, people: peopleOf(connectionOf(db), one.id).list() }));
}

/** Students of a studio by name, for its tablets. */
export function namesOfStudents(
  db: Db,
  studioId: StudioId,
): readonly Pick<Person, 'id' | 'name'>[] {
  const people = peopleOf(connectionOf(db), studioId).list();
  return people.flatMap(({ id, name, role }) => (role === 'student' ? [{ id, name }] : []));
}

/** The owner of a studio. */
export function findOwner(db: Db, studioId: StudioId): Viewer | null {
  const people = peopleOf(connectionOf(db), studioId).list();
  const owner = people.find(({ role }) => role === 'owner');
  return owner ? { studioId, role: owner.role, personId: owner.id } : null;
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
