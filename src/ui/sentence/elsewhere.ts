import type { Say } from '@/words';

/** Lines of the sentence, and what stands around it. */
const PLACES = [
  'groove',
  'reading',
  'interpretation',
  'meets',
  'meter',
  'feel',
  'levels',
  'cut',
  'kit',
  'parts',
  'tempo',
  'lanes',
  'steps',
  'variations',
] as const;

export type Elsewhere = (typeof PLACES)[number];

/** Where on the Bench that is found which somebody looks for where it is not; null where it is nowhere.
 * @param here where they look
 * @example sayElsewhere(ENGLISH, 'swing', 'groove') // => 'The feel stands in the line “At”.' */
export function sayElsewhere(say: Say, text: string, here: Elsewhere | null): string | null {
  const typed = text.trim().toLowerCase();
  if (typed.length < 2) return null;
  const found = PLACES.filter((place) => place !== here).find((place) =>
    say
      .t(`screen.bench.elsewhereWords.${place}`)
      .toLowerCase()
      .split(', ')
      .some((word) => word.startsWith(typed) || typed.includes(word)),
  );
  return found ? say.t(`screen.bench.elsewhere.${found}`) : null;
}
