import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';

/** What a file begins with that is encrypted: AES-256-GCM, with a key that scrypt makes of the passphrase. Then come 16
 * bytes of salt, 12 that are used once, 16 of proof, and what was encrypted. */
const MARK = Buffer.from('MIVVEL-LOCKED-1\n');
const [SALT, ONCE, PROOF] = [16, 12, 16];

/** Cost of a try at the passphrase: 64 MB and a tenth of a second (N = 2^16, r = 8; RFC 7914 has what they mean). */
const COST = { N: 2 ** 16, r: 8, p: 1, maxmem: 2 ** 28 };

export function isLocked(bytes: Uint8Array): boolean {
  return MARK.equals(bytes.subarray(0, MARK.length));
}

export function lockedBytes(bytes: Uint8Array, passphrase: string): Buffer {
  const salt = randomBytes(SALT);
  const once = randomBytes(ONCE);
  const cipher = createCipheriv('aes-256-gcm', scryptSync(passphrase, salt, 32, COST), once);
  const inside = Buffer.concat([cipher.update(bytes), cipher.final()]);
  return Buffer.concat([MARK, salt, once, cipher.getAuthTag(), inside]);
}

/** @returns null where the passphrase is another one, or the file was changed */
export function openedBytes(bytes: Uint8Array, passphrase: string): Buffer | null {
  let at = MARK.length;
  const next = (count: number) => bytes.subarray(at, (at += count));
  const [salt, once, proof] = [next(SALT), next(ONCE), next(PROOF)];
  try {
    const key = scryptSync(passphrase, salt, 32, COST);
    const decipher = createDecipheriv('aes-256-gcm', key, once).setAuthTag(proof);
    return Buffer.concat([decipher.update(bytes.subarray(at)), decipher.final()]);
  } catch {
    return null;
  }
}
