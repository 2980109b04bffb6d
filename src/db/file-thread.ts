import { parentPort, workerData } from 'node:worker_threads';
import { TASKS, type FileAnswer, type FileTask } from './file-tasks';

/** Long work on a studio file, while the server answers. */
async function work({ name, of }: FileTask): Promise<FileAnswer> {
  try {
    const run = TASKS[name] as (...of: readonly unknown[]) => unknown;
    return { value: await run(...of) };
  } catch (error) {
    const { message, code } = error as NodeJS.ErrnoException;
    return { thrown: { message, code: code ?? '' } };
  }
}

void work(workerData as FileTask).then((answer) => parentPort?.postMessage(answer));
