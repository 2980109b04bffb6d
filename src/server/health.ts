import type { Issue } from '@/core/issue';
import { dataFile, nearerTrouble, theDb } from '@/db';
import { foundDamage, issueOf, storageIssue } from './backups';
import { listDoors } from './studios';

const held = globalThis as { mivvelIsWarm?: boolean };

/** What visitors need first is loaded. */
export function nowWarm(): void {
  held.mivvelIsWarm = true;
}

/** What is wrong with the studio file, also where it can still be read and written; null where all is well.
 * @throws bugs */
export function healthNow(): Issue | null {
  return troubleNow() ?? foundDamage();
}

/** Whether visitors can be served: what they need first is loaded, and the studio file can be read and written. */
export function isReady(): boolean {
  return held.mivvelIsWarm === true && troubleNow() === null;
}

function troubleNow(): Issue | null {
  const file = dataFile();
  try {
    listDoors({ db: theDb(), now: Date.now });
  } catch (error) {
    const issue = storageIssue(error, file);
    if (issue) return issue;
    throw error;
  }
  const trouble = nearerTrouble(file);
  return trouble && issueOf(trouble, file);
}
