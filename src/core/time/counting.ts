import { beats, unitTicks, type Meter } from './meter';
import { SYLLABLES, type Syllables } from './syllables';
import { gcd, wrap, type Tick } from './tick';

/** How big a place is written over its column: beats above halves above the rest. */
type CountLevel = 'beat' | 'half' | 'part';

export interface CountMark {
  /** As it is said in text, no two of a beat alike where its grid has no syllables. */
  readonly text: string;
  /** As it stands over its column. */
  readonly sign: string;
  readonly level: CountLevel;
}

/** The syllable of a place in the bar: 16ths `1 e & a`, triplets `1 trip let`. In 8ths meters
 * every 8th has a number. Sextuplets between the triplets read `ta`; places without a syllable
 * (32nds, fives, sevens) are counted through their beat, `2/8` the second of eight, and stand as `·`.
 * @param at ticks from the start of a bar; places beyond it wrap
 * @example countMark(quarters(7, 4), meter44).text // => 'a' */
export function countMark(
  at: Tick | number,
  meter: Meter,
  syllables: Syllables = SYLLABLES.english,
): CountMark {
  return countMarks(meter, syllables)(at);
}

/** The marks of a meter: for asking about many places of it. */
export function countMarks(
  meter: Meter,
  syllables: Syllables = SYLLABLES.english,
): (at: Tick | number) => CountMark {
  let ofMeters = MARKS.get(syllables);
  if (!ofMeters) MARKS.set(syllables, (ofMeters = new WeakMap()));
  let known = ofMeters.get(meter);
  if (!known) ofMeters.set(meter, (known = new Map()));
  const marks = known;
  const bar = unitTicks(meter) * meter.count;
  return (at) => {
    const inBar = wrap(at, bar);
    let mark = marks.get(inBar);
    if (!mark) marks.set(inBar, (mark = markOf(inBar, meter, syllables)));
    return mark;
  };
}

/** Marks that were made before: a place is asked for over and over. */
const MARKS = new WeakMap<Syllables, WeakMap<Meter, Map<number, CountMark>>>();

function markOf(inBar: number, meter: Meter, syllables: Syllables): CountMark {
  const unit = unitTicks(meter);
  const within = inBar % unit;
  if (within === 0) {
    const level = beats(meter).some((beat) => beat.at === inBar) ? 'beat' : 'half';
    const text = syllables.beat ?? String(inBar / unit + 1);
    return { text, sign: text, level };
  }
  const twelfths = (within * 12) / unit;
  const said = syllable(twelfths, syllables);
  const level = twelfths === 6 ? 'half' : 'part';
  return { text: said ?? placeOfSeveral(within, unit), sign: said ?? '·', level };
}

/** Which of how many equal parts of the counted note, from 1. @example the fourth 32nd // => '4/8' */
function placeOfSeveral(within: number, unit: number): string {
  const parts = unit / gcd(within, unit);
  return `${(within * parts) / unit + 1}/${parts}`;
}

/** @param twelfths place within the counted note, in twelfths of it
 * @returns null where there is none */
function syllable(twelfths: number, { sixteenths, triplets }: Syllables): string | null {
  switch (twelfths) {
    case 3:
      return sixteenths[0];
    case 6:
      return sixteenths[1];
    case 9:
      return sixteenths[2];
    case 4:
      return triplets[0];
    case 8:
      return triplets[1];
    case 2:
    case 10:
      return 'ta';
    default:
      return null;
  }
}

/** Where a place lies in its bar: its beat, from 1, and what it is counted as; null on the beat itself,
 * which keeps its number in every system: a place has to be found. */
export function beatOf(
  at: Tick | number,
  meter: Meter,
  syllables: Syllables = SYLLABLES.english,
): { readonly beat: number; readonly mark: string | null } {
  const unit = unitTicks(meter);
  const inBar = wrap(at, unit * meter.count);
  const beat = Math.floor(inBar / unit) + 1;
  return { beat, mark: inBar % unit === 0 ? null : countMark(inBar, meter, syllables).text };
}
