import { commandLine } from './command-line';
import { imports } from './imports';
import { enOnPaper } from './on-paper';

/** Every message that there is, wherever it is loaded. */
export const enEverything = { ...enOnPaper, commandLine, imports } as const;
