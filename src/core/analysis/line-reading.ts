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
  const notes: Note[] = [];
  for (const layer of exercise.layers) {
    if (layer.role !== 'line') continue;
    const own = layer.ownTicks ?? layer.lengthTicks;
    for (const stroke of layer.strokes) {
      const { from } = stroke;
      if (stroke.at >= own || (from.source !== 'line' && from.source !== 'fill')) continue;
      notes.push({ onset: from.onset, order: from.source === 'fill' ? from.offset : 0, stroke });
    }
  }
  notes.sort((a, b) => a.onset - b.onset || a.order - b.order);
  return wordsOf(notes)
    .map((slots) => sayWord(slots, exercise))
    .join(' ');
}

/** A stroke with the onset that it belongs to, and how long after it. */
interface Note {
  readonly onset: number;
  readonly order: number;
  readonly stroke: Stroke;
}

/** A list for each onset, of the strokes of each of its slots. */
function wordsOf(notes: readonly Note[]): readonly (readonly (readonly Stroke[])[])[] {
  const words: Stroke[][][] = [];
  let before: Note | null = null;
  for (const note of notes) {
    if (note.onset !== before?.onset) words.push([[note.stroke]]);
    else if (note.order !== before.order) words.at(-1)?.push([note.stroke]);
    else words.at(-1)?.at(-1)?.push(note.stroke);
    before = note;
  }
  return words;
}

function sayWord(slots: readonly (readonly Stroke[])[], exercise: Exercise): string {
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
  const [only] = strokes;
  if (strokes.length === 1 && only) return footLetter(only);
  const letters = [...new Set(strokes.map((one) => footLetter(one)))].join('');
  return letters.includes('R') && letters.includes('L')
    ? `T${letters.replace(/[RL]/g, '')}`
    : letters;
}

/** The feet of a double pedal read r l. */
function footLetter({ limb, voice: id }: Stroke): string {
  return limb === 'LF' && id === 'bass' ? 'l' : letterOf(limb);
}
