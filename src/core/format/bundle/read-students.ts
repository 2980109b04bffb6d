import type * as z from 'zod/mini';
import type { Day } from '../../calendar';
import type { Issue } from '../../issue';
import type { ItemId } from '../../id';
import type { KitProfile } from '../../kit';
import { isAbout, type Author, type Body, type EntryKind } from '../../log';
import type { Schedule } from '../../plan';
import { itemsOf, type Outline, type Starts } from '../../program';
import type { bundleSchema } from './bundle-schema';

/** An entry of a student's log, with where it lies: what is about another entry lies where that one does. */
export interface BundledEntry {
  readonly kind: EntryKind;
  readonly id: string;
  readonly by: Author;
  /** Epoch ms. */
  readonly at: number;
  readonly day: Day;
  readonly session: string | null;
  readonly about: string | null;
  readonly given: string | null;
  readonly item: string | null;
  /** What was played, by the recipe's hash. */
  readonly hash: string | null;
  readonly body: Body<EntryKind>;
}

export interface BundledStudent {
  readonly name: string;
  readonly about: string;
  readonly kit: KitProfile | null;
  readonly schedule: Schedule | null;
  readonly given: readonly {
    readonly id: string;
    readonly program: string;
    readonly version: number;
    /** Epoch ms. */
    readonly givenAt: number;
    readonly endedAt: number | null;
    readonly starts: Starts;
  }[];
  /** As they were stored. */
  readonly entries: readonly BundledEntry[];
}

interface HasVersions {
  readonly id: string;
  readonly versions: readonly { readonly version: number; readonly outline: Outline }[];
  readonly gone: readonly { readonly id: ItemId }[];
}

type Shaped = z.output<typeof bundleSchema>['students'][number];

/** Students whose programs are all there, and whose entries all have their place.
 * @param issues takes `bundle-part` with the place of what names something that the bundle has not */
export function readStudents(
  students: readonly Shaped[],
  programs: readonly HasVersions[],
  issues: Issue[],
): readonly BundledStudent[] {
  const versionsOf = new Map(
    programs.map(({ id, versions }) => [id, new Set(versions.map(({ version }) => version))]),
  );
  const itemsOfProgram = new Map(
    programs.map(({ id, versions, gone }) => {
      const items = [...versions.flatMap(({ outline }) => itemsOf(outline)), ...gone];
      return [id, new Set<string>(items.map((item) => item.id))];
    }),
  );
  return students.map((student, index) => {
    const wrong = (path: readonly (string | number)[], named: string) => {
      const misfits = [{ at: named, problem: 'kind' as const }];
      const place = { part: 'students' as const, name: student.name };
      issues.push({ code: 'bundle-part', path: ['students', index, ...path], ...place, misfits });
    };
    const programOf = new Map<string, string>();
    const held = new Set<string>();
    student.given.forEach(({ id, program, version, endedAt, starts }, at) => {
      const isTwice = programOf.has(id) || (endedAt === null && held.has(program));
      const lost = Object.keys(starts).find((item) => !itemsOfProgram.get(program)?.has(item));
      if (isTwice) wrong(['given', at, 'id'], id);
      else if (!versionsOf.get(program)?.has(version)) wrong(['given', at, 'version'], program);
      else if (lost !== undefined) wrong(['given', at, 'starts'], lost);
      programOf.set(id, program);
      if (endedAt === null) held.add(program);
    });
    const places = new Map<string, BundledEntry>();
    student.entries.forEach((one, at) => {
      const path = ['entries', at] as const;
      const {
        session = null,
        about = null,
        given = null,
        item = null,
        hash = null,
      } = one as Partial<BundledEntry>;
      const of = about === null ? null : places.get(about);
      if (places.has(one.id)) return wrong([...path, 'id'], one.id);
      if (of === undefined || (of && !isAbout(one.kind, of.kind))) {
        return wrong([...path, 'about'], about ?? '');
      }
      if (given !== null && !itemsOfProgram.get(programOf.get(given) ?? '')?.has(item ?? '')) {
        return wrong([...path, 'item'], item ?? '');
      }
      const place = of ? { given: of.given, item: of.item } : { given, item };
      places.set(one.id, { ...one, ...{ session, about, hash }, ...place } as BundledEntry);
    });
    const { name, about, kit, schedule, given } = student;
    return { name, about, kit, schedule, given, entries: [...places.values()] };
  });
}
