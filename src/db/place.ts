import { closeSync, fsyncSync, openSync, renameSync, statSync } from 'node:fs';

/** Brings what was written of a file to the disk. */
export function toDisk(file: string): void {
  const handle = openSync(file, 'r+');
  fsyncSync(handle);
  closeSync(handle);
}

/** Gives a finished file its name, once all of it is on the disk. @returns its bytes */
export function putInPlace(part: string, to: string): number {
  toDisk(part);
  renameSync(part, to);
  return statSync(to).size;
}
