import { letterOf, voice } from '../kit';
import type { Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import { ornamentMark } from '../sticking';

/** What the line became, a word for each of its notes, or the words of a sticking: limbs where it
 * is a sticking, T for both hands, - for a slot that rests; else the letters of the voices. Empty
 * without a line.
 * @example the line `4. 4 8 4` in phrase cells // => 'RLLKKL RLLK RL RLLK'
 * @example the same line short / long // => 'K K S K' */
export function lineReading(exercise: Exercise): string {
  const words = new Map<number, Map<number, Stroke[]>>();
  for (const layer of exercise.layers) {
    if (layer.role !== 'line') continue;
    const own = layer.ownTicks ?? layer.lengthTicks;
    for (const stroke of layer.strokes) {
      const place = stroke.at < own ? placeIn(stroke) : null;
      if (!place) continue;
      const word = words.get(place.onset) ?? new Map<number, Stroke[]>();
      word.set(place.order, [...(word.get(place.order) ?? []), stroke]);
      words.set(place.onset, word);
    }
  }
  return [...words]
    .sort(([a], [b]) => a - b)
    .map(([, word]) => sayWord(word, exercise))
    .join(' ');
}

function placeIn({ from }: Stroke): { onset: number; order: number } | null {
  if (from.source === 'line') return { onset: from.onset, order: 0 };
  if (from.source === 'fill') return { onset: from.onset, order: from.offset };
  return null;
}

function sayWord(word: ReadonlyMap<number, readonly Stroke[]>, exercise: Exercise): string {
  const slots = [...word].sort(([a], [b]) => a - b).map(([, strokes]) => strokes);
  if (exercise.reads === 'voices') {
    return slots.map((strokes) => strokes.map((one) => voice(one.voice).letter).join('')).join('');
  }
  const from = slots[0]?.[0]?.from;
  const written = from && 'cell' in from ? (from.cell ?? '') : '';
  const says = (strokes: readonly Stroke[]) => sayMarks(strokes, written) + sayLimbs(strokes);
  if (!written.includes('-')) return slots.map(says).join('');
  const count = written.replace(/[>fduz]/g, '').length;
  const letters = Array.from({ length: count }, () => '-');
  for (const strokes of slots) {
    const place = strokes[0]?.from;
    letters[place?.source === 'fill' ? place.index : 0] = says(strokes);
  }
  return letters.join('');
}

/** Accents are marked where the sticking marks them itself; ornaments always. */
function sayMarks([stroke]: readonly Stroke[], written: string): string {
  const accent = written.includes('>') && stroke?.dynamic === 'accent' ? '>' : '';
  return accent + (stroke?.ornament ? ornamentMark(stroke.ornament) : '');
}

/** A letter a limb, T for both hands. */
function sayLimbs(strokes: readonly Stroke[]): string {
  const letters = [...new Set(strokes.map((one) => footLetter(one)))].join('');
  return letters.includes('R') && letters.includes('L')
    ? `T${letters.replace(/[RL]/g, '')}`
    : letters;
}

/** The feet of a double pedal read r l. */
function footLetter({ limb, voice: id }: Stroke): string {
  return limb === 'LF' && id === 'bass' ? 'l' : letterOf(limb);
}
