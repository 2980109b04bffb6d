import { en } from './en';
import { pseudoCatalogue } from './pseudo';
import { speaker, type Locale, type Say } from './say';

type Messages<T> = {
  readonly [Key in keyof T]: T[Key] extends string ? string : Messages<T[Key]>;
};

/** What a language is made of: the same keys as English, each with its message. */
type Catalogue = Messages<typeof en>;

/** Another language is a folder beside `en`, and a line here, in `student-languages.ts` and `issue-languages.ts`. */
const LANGUAGES: Readonly<Record<Locale, () => Catalogue>> = {
  'en-GB': () => en,
  'en-XA': () => pseudoCatalogue(en),
};

/** Says all that there is to say. */
export const sayIn = speaker(LANGUAGES);

/** English as a new studio speaks it. */
export const ENGLISH: Say = sayIn('en-GB');
