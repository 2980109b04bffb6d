import { sha256 } from '@noble/hashes/sha2.js';
import { base64urlnopad } from '@scure/base';
import { inflateSync, strFromU8 } from 'fflate';
import { fail, ok, type Result } from '../issue';
import { close } from './shipped';
import { CHECK_BYTES } from './link';
import { readRecipe, type ClosedRecipe } from './schema';

/** Largest recipe that a link may unpack to. */
const MOST_BYTES = 200_000;

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
