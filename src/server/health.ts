import type { Issue } from '@/core/issue';
import { dataFile, nearerTrouble, theDb } from '@/db';
import { foundDamage, issueOf, storageIssue } from './backups';
import { listDoors } from './studios';

const held = globalThis as { mivvelIsWarm?: boolean };

/** What visitors need first is loaded. */
export function nowWarm(): void {
  held.mivvelIsWarm = true;
}

export function isWarm(): boolean {
  return held.mivvelIsWarm ?? false;
}

/** Whether the studio file can be read and written now.
 * @returns what is wrong with it; null where all is well
 * @throws bugs */
export function healthNow(): Issue | null {
  const file = dataFile();
  try {
    listDoors({ db: theDb(), now: Date.now });
  } catch (error) {
    const issue = storageIssue(error, file);
    if (issue) return issue;
    throw error;
  }
  const trouble = nearerTrouble(file);
  return trouble ? issueOf(trouble, file) : foundDamage();
}
