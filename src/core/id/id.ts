declare const idBrand: unique symbol;

/** A sortable random string, branded with what it names. */
export type Id<Kind extends string> = string & { readonly [idBrand]: Kind };

export type StudioId = Id<'studio'>;
export type PersonId = Id<'person'>;
export type FamilyId = Id<'family'>;
export type ExerciseId = Id<'exercise'>;
export type ProgramId = Id<'program'>;
export type ItemId = Id<'item'>;
export type AssignmentId = Id<'assignment'>;
export type SessionId = Id<'session'>;
export type EntryId = Id<'entry'>;
export type MaterialId = Id<'material'>;

export const ID = /^[0-9a-hjkmnp-tv-z]{22}$/;

/** Crockford's base 32: sorts like the numbers it writes, no letters that look alike. */
const LETTERS = '0123456789abcdefghjkmnpqrstvwxyz';

const TIME_LETTERS = 10;

const RANDOM_LETTERS = 12;

/** 22 letters: ten of the instant, twelve random. Later ids sort after earlier ones.
 * @param nowMs epoch ms  @param random at least 12 random bytes */
export function makeId<Kind extends string>(nowMs: number, random: Uint8Array): Id<Kind> {
  let time = '';
  for (let rest = nowMs, n = 0; n < TIME_LETTERS; n += 1, rest = Math.floor(rest / 32)) {
    time = (LETTERS[rest % 32] ?? '0') + time;
  }
  const tail = Array.from(random.slice(0, RANDOM_LETTERS), (byte) => LETTERS[byte % 32]).join('');
  return (time + tail) as Id<Kind>;
}

/** The next id in order: for what is made after another in the same millisecond.
 * @example afterId('0000000000000000000009') // => '000000000000000000000a' */
export function afterId<Kind extends string>(id: Id<Kind>): Id<Kind> {
  const kept = id.replace(/z+$/, '');
  const next = LETTERS[LETTERS.indexOf(kept.at(-1) ?? '') + 1] ?? '';
  return (kept.slice(0, -1) + next).padEnd(id.length, '0') as Id<Kind>;
}

/** An id from an address; null when it cannot be one. */
export function parseId<Kind extends string>(text: string): Id<Kind> | null {
  return ID.test(text) ? (text as Id<Kind>) : null;
}
