import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { closeSync, openSync, readSync, writeSync } from 'node:fs';

/** What a file begins with that is encrypted: AES-256-GCM, with a key that scrypt makes of the passphrase. Then come 16
 * bytes of salt, 12 that are used once, 16 of proof, and what was encrypted. */
const MARK = Buffer.from('MIVVEL-LOCKED-1\n');
const [SALT, ONCE, PROOF] = [16, 12, 16];
const HEAD = MARK.length + SALT + ONCE + PROOF;

/** Cost of a try at the passphrase: 64 MB and a tenth of a second (N = 2^16, r = 8; RFC 7914 has what they mean). */
const COST = { N: 2 ** 16, r: 8, p: 1, maxmem: 2 ** 28 };

/** Bytes that are held at once, however large the file is. */
const AT_ONCE = 2 ** 20;

/** @throws errors of the disk */
export function isLocked(file: string): boolean {
  return withFile(file, 'r', (handle) => {
    const head = Buffer.alloc(MARK.length);
    return readSync(handle, head, 0, MARK.length, 0) === MARK.length && MARK.equals(head);
  });
}

/** Encrypts a file into another one.
 * @throws errors of the disk */
export function lockFile(from: string, to: string, passphrase: string): void {
  const salt = randomBytes(SALT);
  const once = randomBytes(ONCE);
  const cipher = createCipheriv('aes-256-gcm', scryptSync(passphrase, salt, 32, COST), once);
  withFile(to, 'w', (out) => {
    // What proves that nothing was changed is known at the end.
    put(out, Buffer.concat([MARK, salt, once, Buffer.alloc(PROOF)]));
    for (const bytes of piecesOf(from, 0)) put(out, cipher.update(bytes));
    put(out, cipher.final());
    writeSync(out, cipher.getAuthTag(), 0, PROOF, HEAD - PROOF);
  });
}

/** Decrypts a file into another one, which counts only where this went well.
 * @returns whether the passphrase is the right one and the file as it was made
 * @throws errors of the disk */
export function unlockFile(from: string, to: string, passphrase: string): boolean {
  const head = Buffer.alloc(HEAD);
  const read = withFile(from, 'r', (handle) => readSync(handle, head, 0, HEAD, 0));
  if (read < HEAD) return false;
  let at = MARK.length;
  const next = (count: number) => head.subarray(at, (at += count));
  const [salt, once, proof] = [next(SALT), next(ONCE), next(PROOF)];
  const key = scryptSync(passphrase, salt, 32, COST);
  const decipher = createDecipheriv('aes-256-gcm', key, once).setAuthTag(proof);
  return withFile(to, 'w', (out) => {
    for (const bytes of piecesOf(from, HEAD)) put(out, decipher.update(bytes));
    try {
      put(out, decipher.final());
      return true;
    } catch (error) {
      // Whatever is no error of the disk is the proof that does not hold.
      if (error instanceof Error && 'errno' in error) throw error;
      return false;
    }
  });
}

function withFile<T>(file: string, flags: 'r' | 'w', work: (handle: number) => T): T {
  const handle = openSync(file, flags);
  try {
    return work(handle);
  } finally {
    closeSync(handle);
  }
}

/** Reads a file from a byte on, a piece at a time. */
function* piecesOf(file: string, from: number): Generator<Buffer> {
  const handle = openSync(file, 'r');
  try {
    const piece = Buffer.alloc(AT_ONCE);
    let at = from;
    for (;;) {
      const read = readSync(handle, piece, 0, AT_ONCE, at);
      if (read === 0) return;
      yield piece.subarray(0, read);
      at += read;
    }
  } finally {
    closeSync(handle);
  }
}

/** Writes all of what is given after what was written before. */
function put(handle: number, bytes: Buffer): void {
  for (let done = 0; done < bytes.length;) done += writeSync(handle, bytes, done);
}
