import { join } from 'node:path';
import { Worker, type WorkerOptions } from 'node:worker_threads';

/** The server, which others wait for, has long work done in threads of their own, as they were built; whoever else asks
 * waits anyway, and works where it is. */
export const hasThreads = () => process.env.NODE_ENV === 'production';

/** Starts one of the threads that the build made. */
export function startThread(
  name: 'file-thread' | 'reader-thread',
  options: Pick<WorkerOptions, 'workerData' | 'resourceLimits'>,
): Worker {
  return new Worker(join(process.cwd(), '.next', 'threads', `${name}.mjs`), options);
}
