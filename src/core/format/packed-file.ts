import { base64urlnopad } from '@scure/base';
import { deflateSync, Inflate, strToU8 } from 'fflate';
import { MOST_FILE_BYTES } from './file-size';

/** A file's text as letters for an address. */
export function packFile(text: string): string {
  return base64urlnopad.encode(deflateSync(strToU8(text), { level: 9 }));
}

/** The reverse of `packFile`, up to the size of a file that comes in.
 * @returns null for what is no packed file, or too large a one */
export function unpackFile(packed: string): Uint8Array<ArrayBuffer> | null {
  const parts: Uint8Array[] = [];
  let size = 0;
  try {
    const bytes = base64urlnopad.decode(packed);
    const inflate = new Inflate((part) => {
      size += part.length;
      if (size > MOST_FILE_BYTES) throw new RangeError('too large');
      parts.push(part);
    });
    for (let from = 0; from < bytes.length; from += STEP) {
      inflate.push(bytes.subarray(from, from + STEP), from + STEP >= bytes.length);
    }
  } catch {
    return null;
  }
  const whole = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** Packed bytes that are unpacked at once; what they come to is looked at in between. */
const STEP = 4096;
