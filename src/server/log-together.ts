import type { Result } from '@/core/issue';
import type { BatchAnswer, PersonId } from '@/core/studio';
import type { Student, Teacher } from './authority';
import { storageIssue } from './backups';
import { appendEntries } from './log';
import { forgetProgress } from './progress';

interface Waiting {
  readonly me: Teacher | Student;
  readonly student: PersonId;
  readonly posted: readonly unknown[];
  readonly answer: (result: Result<BatchAnswer>) => void;
  readonly fail: (error: unknown) => void;
}

const WAITING = new WeakMap<object, Waiting[]>();

/** `appendEntries`, with what arrives in the same turn in one transaction: one wait for the disk for all of them. Each
 * stands or falls by itself, and is answered once all of it is on the disk. */
export function appendTogether(
  me: Teacher | Student,
  student: PersonId,
  posted: readonly unknown[],
): Promise<Result<BatchAnswer>> {
  const { file } = me.store;
  return new Promise((answer, fail) => {
    const waiting = WAITING.get(file) ?? [];
    WAITING.set(file, waiting);
    waiting.push({ me, student, posted, answer, fail });
    if (waiting.length === 1) setImmediate(() => writeAll(me.store.together, waiting.splice(0)));
  });
}

function writeAll(together: Teacher['store']['together'], all: readonly Waiting[]): void {
  const answered: (() => void)[] = [];
  try {
    together(() => {
      for (const one of all) answered.push(written(one));
    });
  } catch (error) {
    // Nothing of all is there, whatever was counted.
    for (const { me, student } of all) forgetProgress({ file: me.store.file, id: student });
    for (const one of all) one.fail(error);
    return;
  }
  for (const tell of answered) tell();
}

/** Writes one, within all. @returns tells whoever waits for it @throws errors of the disk, which undo all */
function written({ me, student, posted, answer, fail }: Waiting): () => void {
  try {
    const result = appendEntries(me, student, posted);
    return () => answer(result);
  } catch (error) {
    if (storageIssue(error)) throw error;
    return () => fail(error);
  }
}
