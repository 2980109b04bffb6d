import { dataFile, troubleOf } from '@/db';

/** Writes what nobody waits for: where the disk is full or the file cannot be written, it is left, and reading goes on.
 * @returns what came of it; undefined where it was left */
export function ifPossible<T>(run: () => T): T | undefined {
  try {
    return run();
  } catch (error) {
    if (troubleOf(error, dataFile()) === null) throw error;
    return undefined;
  }
}
