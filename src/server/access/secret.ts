import {
  createCipheriv,
  createDecipheriv,
  createHmac,
  randomBytes,
  randomInt,
  timingSafeEqual,
} from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { base32nopad } from '@scure/base';
import { dataFile } from '@/db';
import { readSettings } from '../settings';

/** Letters of what only the server's secret makes: 128 bits. */
const SEAL_BYTES = 16;

const held = globalThis as { mivvelSecret?: { readonly file: string; readonly secret: string } };

/** What seals links, codes, numbers and mail: `MIVVEL_SECRET`, or a file beside the studio's that only who runs Mivvel
 * reads, made at the first start. It never goes into the studio file: whoever takes that can open nothing with it. */
function theSecret(): string {
  const named = readSettings(process.env).MIVVEL_SECRET;
  if (named !== undefined) return named;
  const file = join(dirname(dataFile()), 'secret');
  if (held.mivvelSecret?.file === file) return held.mivvelSecret.secret;
  const secret = readOrMake(file);
  held.mivvelSecret = { file, secret };
  return secret;
}

function readOrMake(file: string): string {
  try {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, randomBytes(32).toString('hex'), { flag: 'wx', mode: 0o600 });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  }
  return readFileSync(file, 'utf8').trim();
}

function mac(purpose: string, of: string): Buffer {
  return createHmac('sha256', theSecret()).update(`${purpose}\n${of}`).digest();
}

/** What is kept of something short that somebody types, such as a code: without the secret it cannot be found by trying
 * all there are. @returns 64 hexadecimal digits */
export function keyed(purpose: string, of: string): string {
  return mac(purpose, of).toString('hex');
}

/** An address that opens what an id names: the id and its seal.
 * @param purpose a seal for one is none for another */
export function sealed(purpose: string, id: string): string {
  const seal = base32nopad.encode(mac(purpose, id).subarray(0, SEAL_BYTES)).toLowerCase();
  return `${id}${seal}`;
}

/** @returns the id that a sealed address names; null where the seal is not its own */
export function unsealed(purpose: string, address: string): string | null {
  const id = address.slice(0, ID_LETTERS);
  const wanted = Buffer.from(sealed(purpose, id));
  const got = Buffer.from(address);
  return wanted.length === got.length && timingSafeEqual(wanted, got) ? id : null;
}

const ID_LETTERS = 22;

/** Letters that nobody takes for another, and that make no words. */
const LETTERS = 'BCDFGHJKMNPQRTVWXY34679';

/** Letters by chance, to be read off and typed; each has 4.5 bits. */
export function drawnLetters(count: number): string {
  return Array.from({ length: count }, () => LETTERS[randomInt(LETTERS.length)]).join('');
}

/** Letters as they were drawn, of what somebody typed of them. */
export function typedLetters(text: string): string {
  return text.toUpperCase().replace(/[^A-Z\d]/g, '');
}

/** A number of four digits that the secret makes of a name. @example '0417' */
export function fourDigits(purpose: string, of: string): string {
  return String(mac(purpose, of).readUInt32BE(0) % 10_000).padStart(4, '0');
}

/** Text that only the secret opens again. */
export function locked(text: string): string {
  const nonce = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', mac('text', ''), nonce);
  const body = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  return Buffer.concat([nonce, cipher.getAuthTag(), body]).toString('base64');
}

/** @returns null where the secret is another one, such as after a move without it */
export function unlocked(sealedText: string): string | null {
  const bytes = Buffer.from(sealedText, 'base64');
  try {
    const open = createDecipheriv('aes-256-gcm', mac('text', ''), bytes.subarray(0, 12));
    open.setAuthTag(bytes.subarray(12, 28));
    return Buffer.concat([open.update(bytes.subarray(28)), open.final()]).toString('utf8');
  } catch {
    return null;
  }
}
