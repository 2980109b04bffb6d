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
 * every 8th has a number. Places without a syllable (32nds, sextuplets between the triplets, fives, sevens) are counted
 * through their beat, `2/8` the second of eight; over their columns fives and sevens are numbers.
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
  const felt = inFeltBeat(inBar, meter, syllables);
  if (felt)
    return { text: felt, sign: felt, level: inBar % unitTicks(meter) === 0 ? 'half' : 'part' };
  const unit = unitTicks(meter);
  const within = inBar % unit;
  if (within === 0) {
    const level = beats(meter).some((beat) => beat.at === inBar) ? 'beat' : 'half';
    const text = syllables.beat ?? String(inBar / unit + 1);
    return { text, sign: text, level };
  }
  const twelfths = (within * 12) / unit;
  const level = twelfths === 6 ? 'half' : 'part';
  // Whose 8ths have syllables of their own has none left for what is finer.
  const isFiner = meter.unit === 8 && syllables.ofThree !== undefined;
  const said = isFiner
    ? null
    : (syllable(twelfths, syllables) ?? inSeveral(within, unit, syllables));
  if (said !== null) return { text: said, sign: said, level };
  const parts = partsOf(within, unit);
  const nth = String((within * parts) / unit + 1);
  return { text: `${nth}/${parts}`, sign: NUMBERED.has(parts) ? nth : '·', level };
}

/** Grids that are counted with numbers where a system has no syllables for them. */
const NUMBERED = new Set([5, 7]);

/** What is said between the felt beats of a meter in 8ths by a system that does not number them; null on a beat, and in
 * other meters and systems. */
function inFeltBeat(inBar: number, meter: Meter, { ofTwo, ofThree }: Syllables): string | null {
  if (meter.unit !== 8) return null;
  const sixteenth = unitTicks(meter) / 2;
  const beat = beats(meter).findLast(({ at }) => at <= inBar);
  if (!beat || beat.at === inBar) return null;
  const nth = (inBar - beat.at) / sixteenth;
  const said = beat.ticks === 6 * sixteenth ? ofThree : beat.ticks === 4 * sixteenth ? ofTwo : null;
  return said?.[nth - 1] ?? null;
}

function inSeveral(within: number, unit: number, { fives, sevens }: Syllables): string | null {
  const parts = partsOf(within, unit);
  const said = parts === 5 ? fives : parts === 7 ? sevens : undefined;
  return said?.[(within * parts) / unit - 1] ?? null;
}

/** Into how many equal parts the counted note is divided where a place in it is one of them. */
function partsOf(within: number, unit: number): number {
  return unit / gcd(within, unit);
}

/** Signs over the columns of a bar: as `countMark` has them, but a counted note in six is `1 trip let & trip let`, or numbered where triplets are
 * called as halves.
 * @param columns ticks from the bar's start, rising */
export function countSigns(
  columns: readonly number[],
  meter: Meter,
  syllables: Syllables = SYLLABLES.english,
): readonly CountMark[] {
  const markAt = countMarks(meter, syllables);
  const unit = unitTicks(meter);
  const sixth = unit / 6;
  const isSixth = (at: number) => (at % unit) % sixth === 0;
  const inSix = new Set<number>();
  for (const at of columns) {
    const nth = (at % unit) / sixth;
    if (nth === 1 || nth === 5) inSix.add(Math.floor(at / unit));
  }
  for (const at of columns) if (!isSixth(at)) inSix.delete(Math.floor(at / unit));
  const { triplets, sixteenths } = syllables;
  const said = triplets.includes(sixteenths[1])
    ? ['', '2', '3', '4', '5', '6']
    : ['', ...triplets, sixteenths[1], ...triplets];
  return columns.map((at) => {
    const mark = markAt(at);
    const sign = meter.unit <= 4 && inSix.has(Math.floor(at / unit)) && said[(at % unit) / sixth];
    return sign ? { ...mark, sign } : mark;
  });
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
