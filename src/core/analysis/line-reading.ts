import { letterOf, voice } from '../kit';
import type { Exercise } from '../recipe';

/** What the reading line became, a word for each of its notes: limbs where the interpretation is a
 * sticking, else the letters of the voices. Empty without a line.
 * @example the line `4. 4 8 4` in phrase cells // => 'RLLKKL RLLK RL RLLK'
 * @example the same line short / long // => 'K K S K' */
export function lineReading(exercise: Exercise): string {
  const words = new Map<number, { order: number; letter: string }[]>();
  for (const layer of exercise.layers) {
    if (layer.role !== 'line') continue;
    for (const stroke of layer.strokes) {
      const { from } = stroke;
      if (from.source === 'over' || stroke.at >= lineLength(exercise)) continue;
      const word = words.get(from.onset) ?? [];
      word.push({
        order: from.source === 'fill' ? from.offset : 0,
        letter: exercise.reads === 'sticking' ? letterOf(stroke.limb) : voice(stroke.voice).letter,
      });
      words.set(from.onset, word);
    }
  }
  return [...words]
    .sort(([a], [b]) => a - b)
    .map(([, word]) => word.sort((a, b) => a.order - b.order).map((one) => one.letter))
    .map((letters) => letters.join(''))
    .join(' ');
}

/** The line is said once, however often the cycle repeats it. */
function lineLength(exercise: Exercise): number {
  return exercise.line ? exercise.line.bars.length * exercise.barTicks : exercise.cycleTicks;
}
