import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import type { PlaceId } from '@/ui/shell/place';
import { isLocale, sayAllIn, type Locale, type Say } from '@/words';

const COOKIE = 'mivvel-language';

/** The language of whoever looks. */
export async function languageNow(): Promise<Locale> {
  const asked = (await cookies()).get(COOKIE)?.value;
  return isLocale(asked) ? asked : 'en-GB';
}

/** What says the words of a page before a studio’s own speech is known. */
export async function sayNow(): Promise<Say> {
  return sayAllIn(await languageNow());
}

/** The title of a screen: one that the bars lead to, or one inside another. */
export function titled(place: PlaceId | 'steps' | 'stand'): () => Promise<Metadata> {
  return async () => ({ title: (await sayNow()).t(`screen.shell.place.${place}`) });
}
