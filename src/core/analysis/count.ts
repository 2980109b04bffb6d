import { LIMBS, type Limb } from '../kit';
import { countMarks, tick, type Syllables, type Tick } from '../time';
import type { Exercise } from '../recipe';
import { strokesOf } from './instants';

/** What one limb plays in one bar, in syllables. */
export interface LimbCount {
  readonly limb: Limb;
  /** One string a bar, `1 & 3 &`; `–` where the limb rests. */
  readonly bars: readonly string[];
}

/** Count strings of the limbs that play, right hand first.
 * @example the short/long reading of `4. 4 8 4`: RF // => ['1 & 4'] */
export function countStrings(exercise: Exercise, syllables?: Syllables): readonly LimbCount[] {
  const { meter, barTicks, bars } = exercise;
  const markAt = countMarks(meter, syllables);
  return LIMBS.flatMap((limb) => {
    const mine = strokesOf(exercise, limb);
    if (mine.length === 0) return [];
    const texts = Array.from({ length: bars }, () => '');
    let before = -1;
    for (const { at } of mine) {
      if (at === before) continue;
      before = at;
      const bar = Math.floor(at / barTicks);
      const said = texts[bar] ?? '';
      const { text } = markAt(at);
      texts[bar] = said === '' ? text : `${said} ${text}`;
    }
    return [{ limb, bars: texts.map((text) => text || '–') }];
  });
}

/** Places that need a column: every place where a layer's own grid has a slot, for one bar.
 * Layers on different grids (triplets against 16ths) give the union of both.
 * @param slot a grid that has its columns in any case, as for writing on it
 * @returns ticks from the bar's start, rising, beginning with 0 */
export function columnsOfBar(exercise: Exercise, bar: number, slot?: Tick): readonly Tick[] {
  const { meter, barTicks } = exercise;
  const from = bar * barTicks;
  const places = new Set<number>();
  if (slot !== undefined) for (let at = 0; at < barTicks; at += slot) places.add(at);
  for (const beat of countedNotes(meter.count, barTicks)) {
    const grids = exercise.layers.map((layer) => {
      const inBeat = layer.strokes.filter(
        (stroke) => stroke.at >= from + beat.at && stroke.at < from + beat.at + beat.ticks,
      );
      return finestGrid(
        inBeat.map((stroke) => stroke.at - from - beat.at),
        beat.ticks,
      );
    });
    for (const grid of new Set(grids)) {
      for (let at = 0; at < beat.ticks; at += grid) places.add(beat.at + at);
    }
  }
  return [...places].sort((a, b) => a - b).map(tick);
}

function countedNotes(count: number, bar: number): { at: number; ticks: number }[] {
  const ticks = bar / count;
  return Array.from({ length: count }, (_, index) => ({ at: index * ticks, ticks }));
}

/** Equal parts of a beat that the trade counts with, coarsest first. */
const PARTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 12, 16, 24] as const;

function finestGrid(places: readonly number[], beat: number): number {
  const parts = PARTS.find(
    (n) => beat % n === 0 && places.every((place) => place % (beat / n) === 0),
  );
  return parts ? beat / parts : beat;
}
