/** The bars of a typed line as they are written, without their bar lines; one empty bar for no text.
 * @example barsOfText('4. 4 8 4 | 2 2') // => ['4. 4 8 4', '2 2'] */
export function barsOfText(text: string): readonly string[] {
  return text.split('|').map((bar) => bar.trim());
}

/** A typed bar without its repeat, and how many bars it stands for. @param follows whether a bar is before it
 * @returns `again`: it is a repeat alone, of the bar before it
 * @example readRepeat('4 4 4 4 x2', false) // => two bars of 4 4 4 4 */
export function readRepeat(
  bar: string,
  follows: boolean,
): { readonly text: string; readonly count: number; readonly again: boolean } {
  const [, text = bar, times] = /^(.*?)\bx(\d{1,2})\s*$/.exec(bar) ?? [];
  const again = text.trim() === '' && follows && times !== undefined;
  return { text, count: Number(times ?? 1) - (again ? 1 : 0), again };
}

/** Which bars of the line typed bars stand for, from 1: the first of each, and how many.
 * @example barNumbers(['4 4 4 4 x7', '2 2']) // => 1 to 7, and 8 */
export function barNumbers(
  bars: readonly string[],
): readonly { readonly from: number; readonly count: number }[] {
  let from = 1;
  return bars.map((bar, nth) => {
    const { count } = readRepeat(bar, nth > 0);
    const here = { from, count };
    from += count;
    return here;
  });
}

/** A line of typed bars; those after the last one that holds anything are left out.
 * @example textOfBars(['4. 4 8 4', '2 2', '']) // => '4. 4 8 4 | 2 2' */
export function textOfBars(bars: readonly string[]): string {
  const last = bars.findLastIndex((bar) => bar.trim() !== '');
  return bars
    .slice(0, last + 1)
    .map((bar) => bar.trim())
    .join(' | ');
}

/** A part of a page, as a line of its own. A tie over its edge is gone: what it came from, or led to, is not there.
 * @param bars as they are typed  @param from the first of them, from 0
 * @returns its text, and whether a tie was cut
 * @example partOfPage(['4 4 2~', '2 2'], 0, 1) // => { text: '4 4 2', cut: true } */
export function partOfPage(
  bars: readonly string[],
  from: number,
  count: number,
): { readonly text: string; readonly cut: boolean } {
  const written = bars.findLastIndex((bar, at) => at <= from && !readRepeat(bar, at > 0).again);
  const whole = textOfBars([bars[written] ?? '', ...bars.slice(from + 1, from + count)]);
  const text = whole.replace(TIED_ON, '$1');
  const isTiedInto = from > 0 && TIED_ON.test(bars[from - 1] ?? '');
  return { text, cut: text !== whole || isTiedInto };
}

/** A tie of the last note, before how often the bar is played. */
const TIED_ON = /~(\s*(?:x\s*\d+)?\s*)$/;
