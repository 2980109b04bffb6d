import { enForStudents as en } from './en/for-students';
import { turnedLimb } from '@/core/recipe';
import type { KitProfile } from '@/core/kit';
import { sayLimb } from './kit';
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
    quarterTriplets: saySubdivision(say, '4t'),
    sixteenth: sayNote(say, '16'),
    sixteenths: saySubdivision(say, '16'),
    thirtySeconds: saySubdivision(say, '32'),
  };
}

/** Which way round the kit stands that something is played on; as written when left out. */
type Turned = KitProfile['handedness'];

/** Limbs that names of what ships are made of. */
function limbsOf(say: Say, turned: Turned) {
  return {
    leftHand: sayLimb(say, turnedLimb(turned, 'LH')),
    leftFoot: sayLimb(say, turnedLimb(turned, 'LF')),
    hands: turnedLimb(turned, 'LH') === 'LH' ? 'written' : 'turned',
  } as const;
}

/** What ships under an id, in words; null for what is a studio’s own. */
function sayShipped(say: Say, id: string, turned: Turned = 'right'): string | null {
  if (isKeyOf(NAMES, id)) {
    return say.t(`material.name.${id}`, { ...notesOf(say), ...limbsOf(say, turned) });
  }
  const [, set = '', number] = /^(.+)-(\d+)$/.exec(id) ?? [];
  if (!isKeyOf(LINES, set)) return null;
  return say.t(`material.line.${set}`, { ...notesOf(say), number: Number(number) });
}

/** An ingredient by its name. What ships is called as the studio speaks, what is its own as it is named.
 * @example sayMaterial(british, { id: 'rock-8ths', content: { name: 'rock in 8ths' } }) // => 'rock in quavers' */
export function sayMaterial(
  say: Say,
  {
    id,
    turned,
    content,
  }: {
    readonly id?: string;
    readonly turned?: Turned;
    readonly content: { readonly name?: string };
  },
): string {
  return (
    (id === undefined ? null : sayShipped(say, id, turned)) ?? sayNamed(say, content.name ?? '')
  );
}

const PLAIN_ENGLISH = sayToStudentsIn('en-GB');

let ids: ReadonlyMap<string, string> | undefined;

/** What ships by names that stand in recipes, and are said otherwise now. */
const FORMER_NAMES: Readonly<Record<string, string>> = {
  'left-foot hi-hat on 2 and 4': 'hats-2-4',
  'left-foot hi-hat in quarters': 'hats-quarters',
  'left-foot hi-hat on the upbeats': 'hats-upbeats',
  'left-foot hi-hat in 8ths': 'hats-8ths',
};

/** What ships by what it is called in recipes, which is plain English. */
function idOf(name: string): string | undefined {
  ids ??= new Map(Object.keys(NAMES).map((id) => [sayShipped(PLAIN_ENGLISH, id) ?? '', id]));
  const [, number] = /(\d+)$/.exec(name) ?? [];
  const line = () =>
    Object.keys(LINES)
      .map((set) => `${set}-${number}`)
      .find((id) => sayShipped(PLAIN_ENGLISH, id) === name);
  return FORMER_NAMES[name] ?? ids.get(name) ?? (number === undefined ? undefined : line());
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
