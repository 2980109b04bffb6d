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
  const texts = Array.from({ length: bars }, () => [] as string[]);
  writeHalves(places, { from: 0, to: barTicks(meter) * bars }, meter, texts);
  return texts.map((one) => one.join(' ')).join(' | ');
}

interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Writes a stretch of 32nds and longer into its bars. */
function writeHalves(
  places: readonly number[],
  stretch: Stretch,
  meter: Meter,
  texts: readonly string[][],
): void {
  const bar = barTicks(meter);
  const slot = slotTicks('32');
  const [first = stretch.to] = places;
  const spans = [
    ...(first > stretch.from ? [{ from: stretch.from, to: first, rest: true }] : []),
    ...places.map((from, index) => ({ from, to: places[index + 1] ?? stretch.to, rest: false })),
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
}

/** Writes attacks as a line where each quarter may have a grid of its own: a figure of 3, 6, 5, 7 or 9, else 32nds and
 * longer, a note until the next one or the next figure.
 * @param places ticks from the start, rising
 * @returns null where a quarter lies on none of them */
export function writeMixedLine(
  places: readonly number[],
  meter: Meter,
  bars: number,
): string | null {
  const bar = barTicks(meter);
  const texts = Array.from({ length: bars }, () => [] as string[]);
  let plain: Stretch = { from: 0, to: 0 };
  const within = ({ from, to }: Stretch) => places.filter((at) => at >= from && at < to);
  const close = () => writeHalves(within(plain), plain, meter, texts);
  for (let index = 0; index < bars; index += 1) {
    for (let from = index * bar; from < (index + 1) * bar; from += TICKS_PER_QUARTER) {
      const to = Math.min(from + TICKS_PER_QUARTER, (index + 1) * bar);
      const own = within({ from, to });
      if (own.every((at) => (at - from) % slotTicks('32') === 0)) {
        plain = { from: plain.from, to };
        continue;
      }
      const figure = to - from === TICKS_PER_QUARTER ? figureOf(own.map((at) => at - from)) : null;
      if (figure === null) return null;
      close();
      texts[index]?.push(figure);
      plain = { from: to, to };
    }
  }
  close();
  return texts.map((one) => one.join(' ')).join(' | ');
}

/** How many places of a quarter make a figure, and the value it is written in. */
const FIGURES: readonly (readonly [parts: number, value: string])[] = [
  [5, '16'],
  [7, '16'],
  [9, '32'],
];

function figureOf(places: readonly number[]): string | null {
  const slots = (parts: number) => places.map((at) => (at * parts) / TICKS_PER_QUARTER);
  if (slots(6).every(Number.isInteger)) return sextuplet(slots(6));
  const found = FIGURES.find(([parts]) => slots(parts).every(Number.isInteger));
  if (!found) return null;
  const [parts, value] = found;
  const hits = slots(parts);
  const notes = Array.from({ length: parts }, (_, one) =>
    hits.includes(one) ? value : `${value}r`,
  );
  return `${parts}(${notes.join(' ')})`;
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
