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
