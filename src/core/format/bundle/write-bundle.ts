import type { Family } from '../../family';
import type { Material } from '../../materials';
import type { Bundle, BundledProgram, BundledVersion, StudioSettings } from './bundle';
import type { BundledEntry, BundledStudent } from './read-students';
import { BUNDLE_VERSION } from './version';

/** What goes into a bundle; what is left out is none. */
export interface Bundled {
  readonly materials?: readonly (Pick<
    Material,
    'id' | 'version' | 'name' | 'trains' | 'meter' | 'kind'
  > & {
    readonly content: unknown;
  })[];
  /** Those without an id are named by nothing else in it. */
  readonly exercises?: readonly (Pick<Bundle['exercises'][number], 'name' | 'recipe'> &
    Partial<Bundle['exercises'][number]>)[];
  readonly families?: readonly { readonly name: string; readonly family: Family }[];
  readonly programs?: readonly BundledProgram[];
  readonly students?: readonly BundledStudent[];
  readonly settings?: StudioSettings | null;
}

/** A program as it is now, for a bundle without students. */
export function programNow({
  id,
  name,
  version,
  outline,
  recipes,
  template,
}: Pick<BundledProgram, 'id' | 'name' | 'template'> & BundledVersion): BundledProgram {
  const versions = [{ version, outline, recipes }];
  return { id, name, template, archived: false, versions, gone: [] };
}

/** Longest line, in letters, before what it holds is broken into lines. */
const LINE = 300;

/** Writes a bundle of the format that is current; `readBundle` gives all of it back. */
export function writeBundle({
  materials = [],
  exercises = [],
  families = [],
  programs = [],
  students = [],
  settings = null,
}: Bundled): string {
  const lists = {
    materials: materials.map(({ id, version, name, trains, meter, kind, content }) => {
      return { id, version, name, trains, meter, held: { kind, content } };
    }),
    exercises: exercises.map(({ id, name, archived = false, recipe }, at) => {
      return { id: id ?? `exercise ${at}`, name, archived, recipe };
    }),
    families: families.map(({ name, family }) => ({ name, family })),
    programs: programs.map(({ id, name, template, archived, versions, gone }) => ({
      ...{ id, name, template, archived },
      versions: versions.map(({ version, outline, recipes }) => ({ version, outline, recipes })),
      gone,
    })),
    students: students.map(({ name, about, kit, schedule, given, entries }) => {
      return { name, about, kit, schedule, given, entries: entries.map(entryOf) };
    }),
    settings,
  };
  return `${inLines({ format: 'mivvel', version: BUNDLE_VERSION, ...lists }, '')}\n`;
}

/** How deep what is written is broken into lines, short as it may be: the bundle, its lists, and what they list. */
const BROKEN = 3;

/** JSON in which what fits a line stands on one: a log is long, and a recipe is read. */
function inLines(value: unknown, indent: string): string {
  const isHeld = typeof value === 'object' && value !== null;
  const flat = isHeld && indent.length < BROKEN ? null : JSON.stringify(value);
  if (!isHeld || (flat !== null && flat.length <= LINE)) return flat ?? '';
  const deeper = `${indent} `;
  const isList = Array.isArray(value);
  const held = Object.entries(value).flatMap(([key, one]: [string, unknown]) => {
    if (one === undefined) return [];
    return `${deeper}${isList ? '' : `${JSON.stringify(key)}: `}${inLines(one, deeper)}`;
  });
  const [open, close] = isList ? '[]' : '{}';
  return `${open}\n${held.join(',\n')}\n${indent}${close}`;
}

/** Of an entry about another one, that one says where it lies. */
function entryOf({ kind, id, by, at, day, body, ...of }: BundledEntry): object {
  const isPlaced = of.about === null && of.given !== null;
  return {
    kind,
    id,
    by,
    at,
    day,
    session: of.session ?? undefined,
    given: isPlaced ? of.given : undefined,
    item: isPlaced ? of.item : undefined,
    about: of.about ?? undefined,
    hash: of.hash ?? undefined,
    body,
  };
}
