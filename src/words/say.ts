import { createTranslator } from 'use-intl/core';
import { PLAIN_SPEECH, type Speech } from '@/core/studio';
import { ownSyllables, SYLLABLES, type NoteNames, type Syllables } from '@/core/time';
import type { enEverything } from './en/everything';

/** Languages by their tag. English is written with the day first; `en-XA` is English in other letters and
 * longer, to try the screens with. */
const LOCALES = ['en-GB', 'en-XA'] as const;

export type Locale = (typeof LOCALES)[number];

export function isLocale(tag: string | undefined): tag is Locale {
  return LOCALES.some((known) => known === tag);
}

function translatorOf(locale: Locale, messages: typeof enEverything) {
  return createTranslator({
    locale,
    messages,
    onError: (error) => {
      throw error;
    },
  });
}

/** A language, and how a studio names note values and counts: all that it takes to put facts into words. */
export interface Say {
  readonly t: ReturnType<typeof translatorOf>;
  readonly locale: Locale;
  readonly notes: NoteNames;
  readonly syllables: Syllables;
}

/** What speaks each language, with a studio's own names of notes and counts.
 * @throws on a message that is missing or cannot be read, which would be a bug */
export type SayIn = (locale: Locale, speech?: Speech) => Say;

/** @param languages each with its messages; some screens need but part of them */
export function speaker(languages: Readonly<Record<Locale, () => object>>): SayIn {
  const translators = new Map<Locale, Say['t']>();
  return (locale, { notes, syllables } = PLAIN_SPEECH) => {
    let t = translators.get(locale);
    if (!t)
      translators.set(
        locale,
        (t = translatorOf(locale, languages[locale]() as typeof enEverything)),
      );
    return { t, locale, notes, syllables: syllablesOf(syllables) };
  };
}

function syllablesOf(chosen: Speech['syllables']): Syllables {
  if (typeof chosen === 'string') return SYLLABLES[chosen];
  return ownSyllables(chosen.sixteenths, chosen.triplets) ?? SYLLABLES.english;
}

type Leaves<T, Path extends string = ''> = {
  [Name in keyof T & string]: T[Name] extends string
    ? `${Path}${Name}`
    : Leaves<T[Name], `${Path}${Name}.`>;
}[keyof T & string];

/** The key of a message. */
export type Key = Leaves<typeof enEverything>;

/** Says each entry of a table of messages that need no facts. */
export function sayEach<T extends Readonly<Record<string, Key>>>(
  say: Say,
  table: T,
): { readonly [K in keyof T]: string } {
  const plain: (key: never) => string = say.t;
  return Object.fromEntries(
    Object.entries(table).map(([name, key]) => [name, plain(key as never)]),
  ) as {
    readonly [K in keyof T]: string;
  };
}

/** @example sayList(ENGLISH, ['ride', 'snare', 'bass drum']) // => 'ride, snare and bass drum' */
export function sayList({ locale }: Pick<Say, 'locale'>, parts: readonly string[]): string {
  return new Intl.ListFormat(locale, { type: 'conjunction' }).format(parts);
}

/** The first letter large. */
export function asStart({ locale }: Pick<Say, 'locale'>, text: string): string {
  return text.slice(0, 1).toLocaleUpperCase(locale) + text.slice(1);
}
