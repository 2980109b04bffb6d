import { beats, unitTicks, type Meter } from './meter';
import { wrap, type Tick } from './tick';

/** How big a place is written over its column: beats above halves above the rest. */
export type CountLevel = 'beat' | 'half' | 'part';

export interface CountMark {
  readonly text: string;
  readonly level: CountLevel;
}

/** Syllables by the fraction of the counted note, as `numerator/denominator` of 12.
 * American syllables; common practice, no source. */
const SYLLABLES: Readonly<Record<number, string>> = {
  2: 'ta',
  3: 'e',
  4: 'trip',
  6: '&',
  8: 'let',
  9: 'a',
  10: 'ta',
};

/** The syllable of a place in the bar: 16ths `1 e & a`, triplets `1 trip let`. In 8ths meters
 * every 8th has a number. Places without a syllable (32nds, fives, sevens) read `·`.
 * @param at ticks from the start of a bar; places beyond it wrap
 * @example countMark(quarters(7, 4), meter44).text // => 'a' */
export function countMark(at: Tick | number, meter: Meter): CountMark {
  const unit = unitTicks(meter);
  const inBar = wrap(at, unit * meter.count);
  const within = inBar % unit;
  if (within === 0) {
    const level = beats(meter).some((beat) => beat.at === inBar) ? 'beat' : 'half';
    return { text: String(inBar / unit + 1), level };
  }
  const twelfths = (within * 12) / unit;
  return { text: SYLLABLES[twelfths] ?? '·', level: twelfths === 6 ? 'half' : 'part' };
}

/** A place said in full, with the beat it belongs to: `3`, `& of 2`, `let of 4`. */
export function countName(at: Tick | number, meter: Meter): string {
  const unit = unitTicks(meter);
  const inBar = wrap(at, unit * meter.count);
  const mark = countMark(inBar, meter);
  return inBar % unit === 0 ? mark.text : `${mark.text} of ${Math.floor(inBar / unit) + 1}`;
}
