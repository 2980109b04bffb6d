import { parentPort, workerData } from 'node:worker_threads';
import { backUp, faultOf } from './backup';
import type { FileAnswer, FileTask } from './file-tasks';

/** Long work on a studio file, while the server answers. */
async function work(task: FileTask): Promise<FileAnswer> {
  try {
    if (task.act === 'check') return { fault: faultOf(task.file) };
    return { made: await backUp(task.file, task.to, task.passphrase) };
  } catch (error) {
    const { message, code } = error as NodeJS.ErrnoException;
    return { thrown: { message, code: code ?? '' } };
  }
}

void work(workerData as FileTask).then((answer) => parentPort?.postMessage(answer));
