import { loadLate } from '../base';

/** No first view waits for what reads files. */
export const ImportFile = loadLate(() => import('./import-file').then((file) => file.ImportFile));
