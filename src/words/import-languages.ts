import { enWithImports } from './en/with-imports';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says what a file would bring. */
export const sayImportsIn = speaker({
  'en-GB': () => enWithImports,
  'en-XA': () => pseudoCatalogue(enWithImports),
});
