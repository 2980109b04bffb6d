import { writeCsv, type CsvRow } from '@/core/format';
import { fail, ok, type Issue, type Result } from '@/core/issue';
import { FULL_KIT, HANDEDNESS, type Handedness } from '@/core/kit';
import type { PersonId } from '@/core/studio';
import { note } from './audit';
import type { Teacher } from './authority';
import { addStudent } from './studios';
import { ROSTER_COLUMNS } from './table-columns';

/** Longest name, and longest line about a student, in letters. */
const LONGEST = { name: 80, about: 200 } as const;

/** A student on a list that comes in. */
export interface Newcomer {
  readonly name: string;
  readonly about: string;
  readonly handedness: Handedness | null;
}

/** The studio's students as a table: name, the line about each, how they sit at the kit, their programs. */
export function exportRoster(me: Teacher): Result<string> {
  note(me, 'exported', me.id);
  const names = new Map(me.store.programs.list().map(({ id, name }) => [id, name]));
  const rows = me.store.students().map((store) => ({
    name: store.person.name,
    about: store.person.about,
    handedness: store.person.kit?.handedness ?? '',
    programs: store
      .given()
      .map(({ programId }) => names.get(programId) ?? '')
      .join('; '),
  }));
  return ok(writeCsv(ROSTER_COLUMNS, rows));
}

/** Who would come new with a list of students; those whose names the studio has already are told apart.
 * @returns issues `csv-cell` with line and column for each name that is missing or too long, and each
 * handedness that there is not */
export function newcomersOf(
  me: Teacher,
  table: readonly CsvRow<(typeof ROSTER_COLUMNS)[number]>[],
): Result<{ readonly coming: readonly Newcomer[]; readonly known: readonly string[] }> {
  const issues: Issue[] = [];
  const here = new Set(me.store.students().map(({ person }) => person.name.toLowerCase()));
  const known: string[] = [];
  const coming = table.flatMap(({ line, of }): readonly Newcomer[] => {
    const { name = '', about = '', handedness = '' } = of;
    const wrong = (column: string, text: string, may: readonly string[]) =>
      issues.push({ code: 'csv-cell', path: [], line, column, text: text.slice(0, 40), may });
    if (name === '' || name.length > LONGEST.name) wrong('name', name, []);
    if (about.length > LONGEST.about) wrong('about', about, []);
    const side = HANDEDNESS.find((one) => one === handedness.toLowerCase());
    if (handedness !== '' && !side) wrong('handedness', handedness, HANDEDNESS);
    if (here.has(name.toLowerCase())) {
      known.push(name);
      return [];
    }
    here.add(name.toLowerCase());
    return [{ name, about, handedness: side ?? null }];
  });
  return issues.length > 0 ? fail(...issues.slice(0, 10)) : ok({ coming, known });
}

/** Takes a list of students in, whole or not at all. @returns who came new */
export function importRoster(
  me: Teacher,
  coming: readonly Newcomer[],
): Result<readonly PersonId[]> {
  return me.store.together(() => {
    const people: PersonId[] = [];
    for (const { name, about, handedness } of coming) {
      const added = addStudent(me, { name, about });
      if (!added.ok) return added;
      if (handedness) me.store.student(added.value)?.setKit({ ...FULL_KIT, handedness });
      people.push(added.value);
    }
    return ok(people);
  });
}

/** Takes a student off the roster, or puts them back; their log stays. @returns issue `not-found` */
export function archiveStudent(me: Teacher, id: PersonId, archived: boolean): Result<null> {
  const done = me.store.archivePerson(id, archived ? me.now() : null);
  return done ? ok(null) : fail({ code: 'not-found', path: ['id'], what: 'student' });
}
