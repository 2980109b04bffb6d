import { sha256 } from '@noble/hashes/sha2.js';
import { base64urlnopad } from '@scure/base';
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { fail, ok, type Result } from '../issue';
import { close } from './close';
import { readRecipe, type ClosedRecipe } from './schema';

/** Bytes of the check sum; six let one altered link in 10^14 through. */
const CHECK_BYTES = 6;

/** Largest recipe that a link may unpack to. */
const MOST_BYTES = 200_000;

const LINKS = new WeakMap<ClosedRecipe, string>();

/** A closed recipe as letters for an address: packed, with a check sum in front. Packed once. */
export function writeLink(recipe: ClosedRecipe): string {
  let link = LINKS.get(recipe);
  if (link === undefined) LINKS.set(recipe, (link = packLink(recipe)));
  return link;
}

/** Any value as letters for an address. */
export function packLink(value: unknown): string {
  const packed = deflateSync(strToU8(JSON.stringify(value)), { level: 9 });
  const bytes = new Uint8Array(CHECK_BYTES + packed.length);
  bytes.set(sha256(packed).slice(0, CHECK_BYTES));
  bytes.set(packed, CHECK_BYTES);
  return base64urlnopad.encode(bytes);
}

/** The reverse of `writeLink`.
 * @returns issue `link-altered` when a letter is missing or changed; issues of `readRecipe` */
export function readLink(text: string): Result<ClosedRecipe> {
  const json = unpackLink(text);
  if (!json.ok) return json;
  const recipe = readRecipe(json.value);
  return recipe.ok ? close(recipe.value) : recipe;
}

/** The reverse of `packLink`. @returns issue `link-altered` when a letter is missing or changed */
export function unpackLink(text: string): Result<unknown> {
  const altered = fail({ code: 'link-altered', path: ['link'] });
  try {
    const bytes = base64urlnopad.decode(text);
    const packed = bytes.slice(CHECK_BYTES);
    const check = sha256(packed).slice(0, CHECK_BYTES);
    if (packed.length === 0 || check.some((byte, index) => byte !== bytes[index])) return altered;
    const unpacked = inflateSync(packed, { out: new Uint8Array(MOST_BYTES) });
    return ok(JSON.parse(strFromU8(unpacked)) as unknown);
  } catch {
    return altered;
  }
}
