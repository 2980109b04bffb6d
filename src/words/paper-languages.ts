import { enOnPaper } from './en/on-paper';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says what stands on a sheet. */
export const sayOnPaperIn = speaker({
  'en-GB': () => enOnPaper,
  'en-XA': () => pseudoCatalogue(enOnPaper),
});
