import {
  MOST_CHARACTERS,
  programNow,
  writeBundle,
  type Bundle,
  type Bundled,
  type BundledProgram,
} from '@/core/format';
import { fail, ok, type Result } from '@/core/issue';
import { itemsOf } from '@/core/program';
import type { ExerciseId, PersonId, ProgramId } from '@/core/studio';
import { note } from './audit';
import { openStudent, type Teacher } from './authority';
import { bundledStudent } from './bundled-students';
import { contentOf } from './programs';

/** What the studio made, as a bundle: its own materials, exercises, families and programs. With students, also they,
 * their logs, every version of every program, archived ones too, and its settings.
 * @returns issue `bundle-large` where the file could not be read again */
export function exportStudio(me: Teacher, withStudents: boolean): Result<string> {
  const { store } = me;
  const materials = store.materials.list().filter(({ archived }) => !archived);
  const families = store.families.list().flatMap(({ id }) => store.families.find(id) ?? []);
  const listed = store.exercises.list();
  if (!withStudents) {
    const programs = store.programs
      .list()
      .map((one) => programNow({ ...one, ...contentOf(me, one.id) }));
    return written({ materials, exercises: listed, families, programs });
  }
  const programs = store.programs.listAll().map((one) => wholeProgram(me, one));
  const exercises = [...listed, ...archivedIn(me, programs)];
  const students = store.students().map(bundledStudent);
  note(me, 'exported', me.id);
  const { speech, steps } = store.studio();
  const settings = { speech, steps };
  return written({ materials, exercises, families, programs, students, settings });
}

/** One student as a bundle, with all that they were ever given and their log.
 * @returns issues of opening the student, and `bundle-large` */
export function exportStudent(me: Teacher, id: PersonId): Result<string> {
  const opened = openStudent(me, id);
  if (!opened.ok) return opened;
  const given = new Set(opened.value.everGiven().map(({ programId }) => programId));
  const programs = me.store.programs
    .listAll()
    .filter((one) => given.has(one.id))
    .map((one) => wholeProgram(me, one));
  const held = new Set(programs.flatMap(exerciseIdsOf));
  const listed = me.store.exercises.list().filter((one) => held.has(one.id));
  const exercises = [...listed, ...archivedIn(me, programs)];
  note(me, 'exported', me.id, id);
  return written({ exercises, programs, students: [bundledStudent(opened.value)] });
}

/** One program as it is now. @returns issue `not-found` */
export function exportBundleOf(me: Teacher, id: ProgramId): Result<string> {
  const found = me.store.programs.find(id);
  if (!found) return fail({ code: 'not-found', path: ['id'], what: 'program' });
  return written({ programs: [programNow({ ...found, ...contentOf(me, id) })] });
}

function written(bundled: Bundled): Result<string> {
  const text = writeBundle(bundled);
  const most = MOST_CHARACTERS / 1_000_000;
  return text.length > MOST_CHARACTERS ? fail({ code: 'bundle-large', path: [], most }) : ok(text);
}

type Listed = Pick<BundledProgram, 'name' | 'template' | 'archived'> & { readonly id: ProgramId };

function wholeProgram(me: Teacher, { id, name, template, archived }: Listed): BundledProgram {
  const numbers = me.store.programs.versions(id);
  const contents =
    numbers.length > 0 ? numbers.map((one) => contentOf(me, id, one)) : [contentOf(me, id)];
  const versions = contents.map(({ version, outline, recipes }) => ({ version, outline, recipes }));
  const held = new Set(versions.flatMap(({ outline }) => itemsOf(outline).map((item) => item.id)));
  const gone = me.store.programs
    .items(id)
    .filter((item) => !held.has(item.id))
    .map((item) => ({ id: item.id, exercise: item.exerciseId }));
  return { id, name, template, archived, versions, gone };
}

function exerciseIdsOf({ versions, gone }: BundledProgram): readonly string[] {
  const held = versions.flatMap(({ outline }) => itemsOf(outline).map((one) => one.exerciseId));
  return [...held, ...gone.map(({ exercise }) => exercise)];
}

/** Exercises of programs that are in the list no more. */
function archivedIn(me: Teacher, programs: readonly BundledProgram[]): Bundle['exercises'] {
  const listed = new Set<string>(me.store.exercises.names().map(({ id }) => id));
  const others = new Set(programs.flatMap(exerciseIdsOf).filter((id) => !listed.has(id)));
  return [...others].flatMap((id) => {
    const found = me.store.exercises.find(id as ExerciseId);
    return found ? [{ ...found, archived: true }] : [];
  });
}
