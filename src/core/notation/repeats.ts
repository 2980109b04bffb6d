import type { Exercise } from '../recipe';

/** Which bars are the same as what stands before them, so that a repeat sign can stand for them: 1 the bar before,
 * 2 the second of two bars that are the two before. The first of those two has no sign of its own: `empty`.
 * @returns one for each bar */
export function repeatsOf({
  strokes,
  barTicks,
  bars,
}: Pick<Exercise, 'strokes' | 'barTicks' | 'bars'>): readonly (1 | 2 | 'empty' | null)[] {
  const texts = Array.from({ length: bars }, () => '');
  for (const { at, limb, voice, dynamic, ornament, tail } of strokes) {
    const bar = Math.floor(at / barTicks);
    texts[bar] += `${at % barTicks} ${limb} ${voice} ${dynamic} ${ornament ?? ''} ${tail ?? ''};`;
  }
  const found: (1 | 2 | 'empty' | null)[] = [];
  for (let bar = 0; bar < bars; bar += 1) {
    if (found[bar] !== undefined) continue;
    const isTwo = bar >= 2 && texts[bar] === texts[bar - 2] && texts[bar + 1] === texts[bar - 1];
    if (bar >= 1 && texts[bar] === texts[bar - 1]) found[bar] = 1;
    else if (isTwo && bar + 1 < bars) {
      found[bar] = 'empty';
      found[bar + 1] = 2;
    } else found[bar] = null;
  }
  return found;
}
