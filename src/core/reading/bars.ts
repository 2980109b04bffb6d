/** The bars of a typed line as they are written, without their bar lines; one empty bar for no text.
 * @example barsOfText('4. 4 8 4 | 2 2') // => ['4. 4 8 4', '2 2'] */
export function barsOfText(text: string): readonly string[] {
  return text.split('|').map((bar) => bar.trim());
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
