import { lineTicks, parseLine } from '../reading';
import { barTicks, lcm, parseMeter } from '../time';
import type { ClosedRecipe } from './schema';

/** Bars after which a line that does not fill its bars begins on beat 1 again; null where it fills them,
 * and for a sticking.
 * @example `4. 4 8` in 4/4 // => 3 */
export function roundOf({
  play,
  meter: text,
}: Pick<ClosedRecipe, 'play' | 'meter'>): number | null {
  const meter = parseMeter(text);
  if (!play || 'sticking' in play.content || !meter.ok) return null;
  const line = parseLine(play.content.text, meter.value);
  if (!line.ok) return null;
  const [length, bar] = [lineTicks(line.value), barTicks(meter.value)];
  return length === 0 || length % bar === 0 ? null : lcm(length, bar) / bar;
}
