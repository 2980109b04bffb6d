import type { Worker, WorkerOptions } from 'node:worker_threads';
import type { FileChoices } from '@/core/format';
import { fail, type Result } from '@/core/issue';
import { hasThreads, startThread } from '@/db';
import { readFile, type FileRead, type SentFile } from './read-file';

/** What one file may take, and how many are read at once. */
export interface Allowance {
  readonly ms: number;
  readonly mb: number;
  readonly atOnce: number;
}

const USUAL: Allowance = { ms: 20_000, mb: 512, atOnce: 2 };

type Reader = (options: WorkerOptions) => Worker;

/** Reads files in threads of their own, a few at once, while everybody else is answered; the others wait in line. */
export class ReadingRoom {
  #reading = 0;
  readonly #waiting: (() => void)[] = [];

  constructor(
    private readonly allowance: Allowance = USUAL,
    private readonly reader: Reader = (options) => startThread('reader-thread', options),
  ) {}

  /** @returns issues of reading; `file-heavy` for what took too long or too much memory, and was left
   * @throws bugs of what reads it */
  async read(file: SentFile, choices: FileChoices): Promise<Result<FileRead>> {
    if (this.#reading < this.allowance.atOnce) this.#reading += 1;
    else await new Promise<void>((go) => this.#waiting.push(go));
    try {
      return await this.#readNow(file, choices);
    } finally {
      const next = this.#waiting.shift();
      if (next) next();
      else this.#reading -= 1;
    }
  }

  #readNow(file: SentFile, choices: FileChoices): Promise<Result<FileRead>> {
    const { ms, mb } = this.allowance;
    return new Promise((resolve, reject) => {
      const resourceLimits = { maxOldGenerationSizeMb: mb };
      const worker = this.reader({ workerData: { file, choices }, resourceLimits });
      const late = setTimeout(() => {
        resolve(fail({ code: 'file-heavy', path: [], what: 'seconds', most: ms / 1000 }));
        void worker.terminate();
      }, ms);
      worker.once('message', resolve);
      worker.once('error', (error: NodeJS.ErrnoException) => {
        if (error.code !== 'ERR_WORKER_OUT_OF_MEMORY') return reject(error);
        resolve(fail({ code: 'file-heavy', path: [], what: 'megabytes', most: mb }));
      });
      worker.once('exit', () => {
        clearTimeout(late);
        reject(new Error('A file was left unread.'));
      });
    });
  }
}

const held = globalThis as { mivvelReadingRoom?: ReadingRoom };

/** Reads a file apart from all requests, where there are any. */
export async function readApart(file: SentFile, choices: FileChoices): Promise<Result<FileRead>> {
  if (!hasThreads()) return readFile(file, choices);
  held.mivvelReadingRoom ??= new ReadingRoom();
  return held.mivvelReadingRoom.read(file, choices);
}
