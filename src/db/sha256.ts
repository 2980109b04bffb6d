import { createHash } from 'node:crypto';

/** What is kept of a secret of full length, such as a cookie's: it is found by it and cannot be worked out from it.
 * @returns 64 hexadecimal digits */
export function sha256(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}
