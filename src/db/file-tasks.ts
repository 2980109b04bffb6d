import type { Result } from '@/core/issue';
import { backUp, isWholeFile } from './backup';
import { hasThreads, startThread } from './threads';

/** What takes long with a studio file, by name. */
export const TASKS = { backUp, isWholeFile } as const;

export interface FileTask {
  readonly name: keyof typeof TASKS;
  readonly of: readonly unknown[];
}

/** What came of it; what was thrown keeps its code. */
export type FileAnswer =
  | { readonly value: unknown }
  | { readonly thrown: { readonly message: string; readonly code: string } };

async function inThread(task: FileTask): Promise<unknown> {
  const answer = await new Promise<FileAnswer>((resolve, reject) => {
    const worker = startThread('file-thread', { workerData: task });
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('A file was left undone.')));
  });
  if ('value' in answer) return answer.value;
  const { message, code } = answer.thrown;
  throw Object.assign(new Error(message), { code });
}

/** `backUp`, while everybody is answered. @throws errors of the disk, by their codes */
export async function backUpAside(...of: Required<Parameters<typeof backUp>>) {
  return hasThreads()
    ? ((await inThread({ name: 'backUp', of })) as Result<number>)
    : backUp(...of);
}

/** `isWholeFile`, while everybody is answered. @throws errors of the disk, by their codes */
export async function isWholeAside(file: string): Promise<boolean> {
  if (!hasThreads()) return isWholeFile(file);
  return (await inThread({ name: 'isWholeFile', of: [file] })) as boolean;
}
