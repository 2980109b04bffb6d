import type { BundledStudent } from '@/core/format';
import { foldItem } from '@/core/log';
import type { Starts } from '@/core/program';
import type { ItemId, PersonId, ProgramId } from '@/core/studio';
import type { NewEntry, StudentStore } from '@/db';
import type { Teacher } from './authority';
import { newId } from './context';

/** A student as a bundle has them: what they were ever given, and their whole log. */
export function bundledStudent({ person, ...store }: StudentStore): BundledStudent {
  const { name, about, kit } = person;
  const given = store.everGiven().map(({ assignmentId, programId, ...one }) => {
    const { version, givenAt, endedAt, starts } = one;
    return { id: assignmentId, program: programId, version, givenAt, endedAt, starts };
  });
  const entries = store.log.whole().map((one) => {
    const { kind, id, by, at, day, body, about: of, hash } = one;
    const { sessionId: session, assignmentId, itemId: item } = one;
    return { kind, id, by, at, day, session, given: assignmentId, item, about: of, hash, body };
  });
  return { name, about, kit, schedule: store.schedule(), given, entries };
}

/** A program of a bundle, as it is called here. */
export interface Arrived {
  readonly id: ProgramId;
  readonly items: ReadonlyMap<ItemId, ItemId>;
}

/** Names that the studio has are told apart: nobody is taken twice. */
export function tellStudents(me: Teacher, students: readonly BundledStudent[]) {
  const here = new Set(me.store.students().map(({ person }) => person.name.toLowerCase()));
  const isKnown = ({ name }: BundledStudent) => here.has(name.toLowerCase());
  return {
    coming: students.filter((one) => !isKnown(one)),
    known: students.filter(isKnown).map(({ name }) => name),
  };
}

/** How many tries stand in a log. */
export function triesIn({ entries }: BundledStudent): number {
  const logged = entries.map((one, seq) => ({ ...one, seq, itemId: one.item })) as never;
  return foldItem(logged).filter(({ kind }) => kind === 'try').length;
}

/** Takes students in with what they were given and their logs, under ids of their own.
 * @param programs by their ids in the bundle  @returns who came, in order */
export function importStudents(
  me: Teacher,
  students: readonly BundledStudent[],
  programs: ReadonlyMap<string, Arrived>,
): readonly PersonId[] {
  return tellStudents(me, students).coming.map((student) => {
    const id = newId<'person'>(me);
    const { name, about, kit, schedule } = student;
    me.store.addPerson({ id, role: 'student', name, about, kit });
    const store = me.store.student(id);
    if (!store) throw new Error(`${name} did not come in`);
    if (schedule) store.setSchedule(schedule);
    const assignments = new Map<string, { id: NewEntry['assignmentId']; program: Arrived }>();
    for (const { id: was, program, version, givenAt, endedAt, starts } of student.given) {
      const arrived = programs.get(program);
      if (!arrived) throw new Error(`${program} did not come in`);
      const given = newId<'assignment'>(me);
      const of = { id: given, programId: arrived.id, studentId: id };
      me.store.programs.give({ ...of, givenAt, version });
      const own = Object.fromEntries(
        Object.entries(starts).map(([item, bpm]) => [arrived.items.get(item as ItemId), bpm]),
      ) as Starts;
      me.store.programs.updateGiven(given, { endedAt, starts: own });
      assignments.set(was, { id: given, program: arrived });
    }
    const own = <Kind extends string>() => renaming(() => newId<Kind>(me));
    const [entryOf, sessionOf] = [own<'entry'>(), own<'session'>()];
    for (const entry of student.entries) {
      const { kind, by, at, day, hash, body, session, about: of, given, item } = entry;
      const assigned = given === null ? undefined : assignments.get(given);
      const assignmentId = assigned?.id ?? null;
      const itemId = assigned?.program.items.get(item as ItemId) ?? null;
      const sessionId = session === null ? null : sessionOf(session);
      const id = entryOf(entry.id);
      const ofEntry = of === null ? null : entryOf(of);
      const what = { kind, id, by, at, day, hash, body };
      store.log.insert({ ...what, assignmentId, itemId, sessionId, about: ofEntry });
    }
    return id;
  });
}

/** Gives each name another one, and the same the same. */
function renaming<Id>(make: () => Id): (was: string) => Id {
  const made = new Map<string, Id>();
  return (was) => {
    const found = made.get(was) ?? make();
    made.set(was, found);
    return found;
  };
}
