import { enEverything } from './en/everything';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says whatever there is to say, for pages that the server draws and mail that it sends; no browser loads it. */
export const sayAllIn = speaker({
  'en-GB': () => enEverything,
  'en-XA': () => pseudoCatalogue(enEverything),
});
