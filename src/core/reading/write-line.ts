import { barTicks, quarters, slotTicks, TICKS_PER_QUARTER, type Meter } from '../time';

/** Grids that a tapped line is written on. */
export type WritingGrid = '8' | '16' | '8t' | '16t' | '32';

/** Written values by their length in 32nds, longest first. */
const VALUES: readonly (readonly [number, string])[] = [
  [32, '1'],
  [24, '2.'],
  [16, '2'],
  [12, '4.'],
  [8, '4'],
  [6, '8.'],
  [4, '8'],
  [3, '16.'],
  [2, '16'],
  [1, '32'],
];

/** Triplet figures of a quarter by which of its three places sound. */
const TRIPLETS: Readonly<Record<string, string>> = {
  '': '4r',
  '0': '4',
  '01': '3(8 4)',
  '02': '3(4 8)',
  '1': '3(8r 4)',
  '2': '3(4r 8)',
  '12': '3(8r 8 8)',
  '012': '3(8 8 8)',
};

/** Writes attacks as a line: each note lasts until the next one, tied over bar lines; in triplets
 * and sextuplets each quarter is a figure of its own.
 * @param places ticks from the start, rising, on the grid
 * @returns shorthand that `parseLine` reads back to the same attacks; rests alone without any
 * @example writeLine([0, 30240], meter44, 1, '8') // => '4. 2~8' */
export function writeLine(
  places: readonly number[],
  meter: Meter,
  bars: number,
  grid: WritingGrid,
): string {
  if (grid === '8t') return inFigures(places, meter, bars, 3);
  return grid === '16t' ? inFigures(places, meter, bars, 6) : inHalves(places, meter, bars);
}

function inHalves(places: readonly number[], meter: Meter, bars: number): string {
  const bar = barTicks(meter);
  const slot = slotTicks('32');
  const texts = Array.from({ length: bars }, () => [] as string[]);
  const spans = [
    ...((places[0] ?? 1) > 0 ? [{ from: 0, to: places[0] ?? bar * bars, rest: true }] : []),
    ...places.map((from, index) => ({ from, to: places[index + 1] ?? bar * bars, rest: false })),
  ];
  for (const { from, to, rest } of spans) {
    for (let start = from; start < to;) {
      const index = Math.floor(start / bar);
      const end = Math.min(to, (index + 1) * bar);
      const tokens = values((end - start) / slot);
      const said = rest ? tokens.map((one) => `${one}r`).join(' ') : tokens.join('~');
      texts[index]?.push(!rest && end < to ? `${said}~` : said);
      start = end;
    }
  }
  return texts.map((one) => one.join(' ')).join(' | ');
}

/** @param length in 32nds */
function values(length: number): readonly string[] {
  const found: string[] = [];
  for (let left = length; left > 0;) {
    const [long, text] = VALUES.find(([one]) => one <= left) ?? [left, '32'];
    found.push(text);
    left -= long;
  }
  return found;
}

/** Rests that fill a length. @returns null for what no rests fill
 * @example restsOf(30240) // => '4.r' */
export function restsOf(ticks: number): string | null {
  const length = ticks / slotTicks('32');
  if (!Number.isInteger(length)) return null;
  return values(length)
    .map((one) => `${one}r`)
    .join(' ');
}

function inFigures(places: readonly number[], meter: Meter, bars: number, parts: 3 | 6): string {
  const bar = barTicks(meter);
  const part = quarters(1, parts);
  return Array.from({ length: bars }, (_, index) =>
    Array.from({ length: bar / TICKS_PER_QUARTER }, (_beat, beat) => {
      const start = index * bar + beat * TICKS_PER_QUARTER;
      const hits = places
        .filter((at) => at >= start && at < start + TICKS_PER_QUARTER)
        .map((at) => Math.round((at - start) / part));
      const which = [...new Set(hits)];
      return parts === 3 ? (TRIPLETS[which.join('')] ?? '4r') : sextuplet(which);
    }).join(' '),
  ).join(' | ');
}

/** The six places of a quarter; as triplets where those are enough. */
function sextuplet(hits: readonly number[]): string {
  if (hits.every((one) => one % 2 === 0)) {
    return TRIPLETS[hits.map((one) => one / 2).join('')] ?? '4r';
  }
  const notes = [0, 1, 2, 3, 4, 5].map((one) => (hits.includes(one) ? '16' : '16r'));
  return `6(${notes.join(' ')})`;
}
