import type { Result } from '@/core/issue';
import { backUp, faultOf } from './backup';
import { hasThreads, startThread } from './threads';

/** What takes long with a studio file. */
export type FileTask =
  | { readonly act: 'check'; readonly file: string }
  | {
      readonly act: 'backup';
      readonly file: string;
      readonly to: string;
      readonly passphrase: string | null;
    };

/** What came of it; what was thrown keeps its code. */
export type FileAnswer =
  | { readonly fault: Result<never> | null }
  | { readonly made: Result<number> }
  | { readonly thrown: { readonly message: string; readonly code: string } };

function inThread(task: FileTask): Promise<FileAnswer> {
  return new Promise((resolve, reject) => {
    const worker = startThread('file-thread', { workerData: task });
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('A file was left undone.')));
  });
}

function opened(answer: FileAnswer): Exclude<FileAnswer, { thrown: unknown }> {
  if (!('thrown' in answer)) return answer;
  const { message, code } = answer.thrown;
  throw Object.assign(new Error(message), { code });
}

/** `backUp`, while everybody is answered. @throws errors of the disk, by their codes */
export async function backUpAside(
  file: string,
  to: string,
  passphrase: string | null,
): Promise<Result<number>> {
  if (!hasThreads()) return backUp(file, to, passphrase);
  const answer = opened(await inThread({ act: 'backup', file, to, passphrase }));
  if ('made' in answer) return answer.made;
  throw new Error('A backup was left undone.');
}

/** `faultOf`, while everybody is answered. */
export async function faultAside(file: string): Promise<Result<never> | null> {
  if (!hasThreads()) return faultOf(file);
  const answer = opened(await inThread({ act: 'check', file }));
  return 'fault' in answer ? answer.fault : null;
}
