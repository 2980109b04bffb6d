import { enEverything } from './en/everything';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says what the command line says, and all else. */
export const sayAtCommandLineIn = speaker({
  'en-GB': () => enEverything,
  'en-XA': () => pseudoCatalogue(enEverything),
});
