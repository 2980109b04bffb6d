import type { Exercise } from '../recipe';
import { beatPlaces, unitTicks } from '../time';

/** A bar of a line that begins on a beat and has notes off it, one that begins on a half of the counted note, and one
 * that begins between. */
export const READING = { later: 0.3, half: 1, between: 2 } as const;

/** Each other bar that has notes off the beat, up to `MOST_READ`: nobody reads further ahead. */
export const OTHER_BAR = 0.25;
const MOST_READ = 3;

/** The bars of a line that have notes off the beat: how the hardest begins (on a beat, on a half of the counted note,
 * between), and how many others there are, all different. */
export interface LineReading {
  readonly hardest: keyof typeof READING;
  readonly others: number;
}

/** How hard a line is to read: its hardest bar, and a part of each other that is different. */
export function readingLoad({ hardest, others }: LineReading): number {
  return READING[hardest] + others * OTHER_BAR;
}

/** The bars of an exercise's line; null where nothing of it is off the beat, and without one. */
export function readingOf({ layers, meter, barTicks }: Exercise): LineReading | null {
  const half = unitTicks(meter) / 2;
  const onBeats = beatPlaces(meter);
  let hardest: keyof typeof READING | null = null;
  const different = new Set<string>();
  for (const { role, strokes } of layers) {
    if (role !== 'line') continue;
    for (let index = 0; index < strokes.length;) {
      const bar = Math.floor((strokes[index]?.at ?? 0) / barTicks);
      let [first, isOff, said] = [-1, false, ''];
      for (; index < strokes.length; index += 1) {
        const { at = 0, from } = strokes[index] ?? {};
        if (Math.floor(at / barTicks) !== bar) break;
        if (from?.source !== 'line' || from.cell !== undefined) continue;
        const place = at - bar * barTicks;
        if (first < 0) first = place;
        isOff ||= !onBeats.has(place);
        said += `${place} `;
      }
      if (!isOff) continue;
      different.add(said);
      const kind = first % half !== 0 ? 'between' : onBeats.has(first) ? 'later' : 'half';
      if (hardest === null || READING[kind] > READING[hardest]) hardest = kind;
    }
  }
  return hardest && { hardest, others: Math.min(MOST_READ, different.size - 1) };
}
