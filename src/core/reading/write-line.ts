import { barTicks, quarters, slotTicks, TICKS_PER_QUARTER, type Meter } from '../time';

/** Grids that a tapped line is written on. */
export type WritingGrid = '8' | '16' | '8t';

/** Written values by their length in 16ths, longest first. */
const VALUES: readonly (readonly [number, string])[] = [
  [16, '1'],
  [12, '2.'],
  [8, '2'],
  [6, '4.'],
  [4, '4'],
  [3, '8.'],
  [2, '8'],
  [1, '16'],
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
 * each quarter is a figure of its own.
 * @param places ticks from the start, rising, on the grid
 * @returns shorthand that `parseLine` reads back to the same attacks; rests alone without any
 * @example writeLine([0, 30240], meter44, 1, '8') // => '4. 2~8' */
export function writeLine(
  places: readonly number[],
  meter: Meter,
  bars: number,
  grid: WritingGrid,
): string {
  return grid === '8t' ? inTriplets(places, meter, bars) : inHalves(places, meter, bars);
}

function inHalves(places: readonly number[], meter: Meter, bars: number): string {
  const bar = barTicks(meter);
  const slot = slotTicks('16');
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

function values(sixteenths: number): readonly string[] {
  const found: string[] = [];
  for (let left = sixteenths; left > 0;) {
    const [length, text] = VALUES.find(([one]) => one <= left) ?? [left, '16'];
    found.push(text);
    left -= length;
  }
  return found;
}

function inTriplets(places: readonly number[], meter: Meter, bars: number): string {
  const bar = barTicks(meter);
  const third = quarters(1, 3);
  return Array.from({ length: bars }, (_, index) =>
    Array.from({ length: bar / TICKS_PER_QUARTER }, (_beat, beat) => {
      const start = index * bar + beat * TICKS_PER_QUARTER;
      const hits = places
        .filter((at) => at >= start && at < start + TICKS_PER_QUARTER)
        .map((at) => Math.round((at - start) / third));
      return TRIPLETS[[...new Set(hits)].join('')] ?? '4r';
    }).join(' '),
  ).join(' | ');
}
