import { enForStudents as en } from './en/for-students';
import { sayNote, saySubdivision } from './time';
import type { Say } from './say';
import { sayToStudentsIn } from './student-languages';

const { name: NAMES, line: LINES, use: USES } = en.material;

/** Note values that names of what ships are made of. */
function notesOf(say: Say) {
  return {
    quarters: saySubdivision(say, '4'),
    eighths: saySubdivision(say, '8'),
    eighthTriplets: saySubdivision(say, '8t'),
    sixteenth: sayNote(say, '16'),
    sixteenths: saySubdivision(say, '16'),
    thirtySeconds: saySubdivision(say, '32'),
  };
}

/** What ships under an id, in words; null for what is a studio’s own. */
function sayShipped(say: Say, id: string): string | null {
  if (isKeyOf(NAMES, id)) return say.t(`material.name.${id}`, notesOf(say));
  const [, set = '', number] = /^(.+)-(\d+)$/.exec(id) ?? [];
  if (!isKeyOf(LINES, set)) return null;
  return say.t(`material.line.${set}`, { ...notesOf(say), number: Number(number) });
}

/** An ingredient by its name. What ships is called as the studio speaks, what is its own as it is named.
 * @example sayMaterial(british, { id: 'rock-8ths', content: { name: 'rock in 8ths' } }) // => 'rock in quavers' */
export function sayMaterial(
  say: Say,
  { id, content }: { readonly id?: string; readonly content: { readonly name?: string } },
): string {
  return (id === undefined ? null : sayShipped(say, id)) ?? sayNamed(say, content.name ?? '');
}

const PLAIN_ENGLISH = sayToStudentsIn('en-GB');

let ids: ReadonlyMap<string, string> | undefined;

/** What ships by what it is called in recipes, which is plain English. */
function idOf(name: string): string | undefined {
  ids ??= new Map(Object.keys(NAMES).map((id) => [sayShipped(PLAIN_ENGLISH, id) ?? '', id]));
  const [, number] = /(\d+)$/.exec(name) ?? [];
  const line = () =>
    Object.keys(LINES)
      .map((set) => `${set}-${number}`)
      .find((id) => sayShipped(PLAIN_ENGLISH, id) === name);
  return ids.get(name) ?? (number === undefined ? undefined : line());
}

/** The same where nothing but the name is left. */
export function sayNamed(say: Say, name: string): string {
  const id = idOf(name);
  return (id === undefined ? null : sayShipped(say, id)) ?? name;
}

/** What a material is good for: the studio’s own words stay as they are. */
export function sayUse(say: Say, use: string): string {
  return isKeyOf(USES, use) ? say.t(`material.use.${use}`, notesOf(say)) : use;
}

function isKeyOf<T extends object>(table: T, key: string): key is keyof T & string {
  return Object.hasOwn(table, key);
}
