import { enForEntry } from './en/for-entry';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says what stands before somebody is in. */
export const sayAtTheDoorIn = speaker({
  'en-GB': () => enForEntry,
  'en-XA': () => pseudoCatalogue(enForEntry),
});
