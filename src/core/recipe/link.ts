import { sha256 } from '@noble/hashes/sha2.js';
import { base64urlnopad } from '@scure/base';
import { deflateSync, strToU8 } from 'fflate';
import type { ClosedRecipe } from './schema';

/** Bytes of the check sum; six let one altered link in 10^14 through. */
export const CHECK_BYTES = 6;

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
