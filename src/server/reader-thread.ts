import { parentPort, workerData } from 'node:worker_threads';
import type { FileChoices } from '@/core/format';
import { readFile, type SentFile } from './read-file';

const { file, choices } = workerData as { file: SentFile; choices: FileChoices };
parentPort?.postMessage(readFile(file, choices));
