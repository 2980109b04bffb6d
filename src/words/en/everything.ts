import { commandLine } from './command-line';
import { imports } from './imports';
import { letter } from './letter';
import { enOnPaper } from './on-paper';
import { entry } from './screen/entry';
import { privacy } from './screen/privacy';

/** Every message that there is, wherever it is loaded. */
export const enEverything = {
  ...enOnPaper,
  ...{ commandLine, imports, letter },
  screen: { ...enOnPaper.screen, entry, privacy },
} as const;
