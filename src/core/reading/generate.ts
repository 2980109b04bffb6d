import { barTicks, type Meter } from '../time';
import { gapsAround, lineTicks, onsets, type ReadingLine } from './line';
import { parseLine } from './shorthand';
import { must } from '../issue';

/** What a generated line is made of. */
export interface LineWish {
  readonly meter: Meter;
  readonly bars: number;
  /** Figures in shorthand, each a whole number of signs: `8 8`, `4. 8`, `3(8 8 8)`. */
  readonly figures: readonly string[];
  /** How often a bar's last note is tied into the next bar, from 0 to 1. */
  readonly overBar: number;
}

/** Tries before a wish counts as impossible. */
const MOST_TRIES = 400;

/** A line of whole bars from figures, one that makes musical sense; chance decides which.
 * @param random from 0 up to 1, the caller's
 * @returns shorthand; null where the figures never fill the bar or nothing makes sense */
export function generateLine(wish: LineWish, random: () => number): string | null {
  for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
    const bars = Array.from({ length: wish.bars }, () => fillBar(wish, random));
    if (bars.some((bar) => bar === null)) continue;
    const text = joinBars(bars as string[], wish.overBar, random);
    const line = parseLine(text, wish.meter);
    if (line.ok && makesSense(line.value)) return text;
  }
  return null;
}

/** Figures that fill one bar exactly; null where what is left fits none. */
function fillBar({ meter, figures }: LineWish, random: () => number): string | null {
  const taken: string[] = [];
  let left: number = barTicks(meter);
  while (left > 0) {
    const fit = figures.filter((figure) => lengthOf(figure) <= left);
    const figure = fit[Math.floor(random() * fit.length)];
    if (figure === undefined) return null;
    taken.push(figure);
    left -= lengthOf(figure);
  }
  return taken.join(' ');
}

const LENGTHS = new Map<string, number>();

/** Length of a figure in ticks, by reading it in a bar of its own. */
function lengthOf(figure: string): number {
  let length = LENGTHS.get(figure);
  if (length === undefined) {
    length = lineTicks(must(parseLine(figure, { count: 1, unit: 16, grouping: [1] })));
    LENGTHS.set(figure, length);
  }
  return length;
}

/** Ties the last note of some bars into the next, where both are notes. */
function joinBars(bars: readonly string[], overBar: number, random: () => number): string {
  return bars
    .map((bar, index) => {
      const next = bars[index + 1];
      const ties = next !== undefined && random() < overBar;
      const notes = /\d\.?$/.test(bar) && next !== undefined && /^\d+\.?(?=\s|$)/.test(next);
      return ties && notes ? `${bar}~` : bar;
    })
    .join(' | ');
}

/** Whether a line is worth reading: enough notes and not too many, no long silence, some contrast,
 * a start that can be found, and bars that are not all alike. Common practice, no source. */
export function makesSense(line: ReadingLine): boolean {
  const found = onsets(line);
  const bar = barTicks(line.meter);
  const [first] = found;
  if (!first || first.at > bar / 4) return false;
  const each = found.length / line.bars.length;
  const units = (line.meter.count * 4) / line.meter.unit;
  if (each < Math.max(2, units / 2) || each > units * 3) return false;
  const gaps = gapsAround(found, lineTicks(line));
  if (Math.max(...gaps) > bar * 0.625) return false;
  const kinds = new Set(gaps).size;
  if (kinds < 2 || kinds > 4) return false;
  const texts = line.bars.map((signs) =>
    signs.map(({ kind, value }) => `${kind}${value.base}${value.dots}`).join(' '),
  );
  return texts.length === 1 || new Set(texts).size > 1;
}
