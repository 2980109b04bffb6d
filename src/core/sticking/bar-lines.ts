import type { Issue, Path } from '../issue';
import { barTicks, slotTicks, type Meter, type SubdivisionId } from '../time';
import { SLOT } from './parse';
import { gridOf, spellRepeats } from './words';

/** Bar lines that stand where no bar ends, each with its place.
 * @returns issues `sticking-bar`; bars count from 1 */
export function barLineIssues(
  text: string,
  slot: SubdivisionId,
  meter: Meter,
  path: Path = ['play'],
): readonly Issue[] {
  const wanted = barTicks(meter);
  const issues: Issue[] = [];
  let grid = slot;
  let [bar, got] = [1, 0];
  for (const word of spellRepeats(text.replace(/[\s|]+$/, ''))) {
    if (word !== '|') {
      grid = gridOf(word) ?? grid;
      if (!gridOf(word)) got += [...word.matchAll(SLOT)].length * slotTicks(grid);
      continue;
    }
    if (got % wanted !== 0 || got === 0) {
      const slots = (ticks: number) => Math.round((100 * ticks) / slotTicks(grid)) / 100;
      issues.push({
        code: 'sticking-bar',
        path,
        bar,
        grid,
        got: slots(got),
        wanted: slots(wanted),
      });
    }
    bar += 1;
    got = 0;
  }
  return issues;
}
