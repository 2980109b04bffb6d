import type { Issue } from '../issue';
import type { Onset, ReadingLine } from '../reading';
import {
  barTicks,
  countName,
  quarters,
  slotTicks,
  subdivision,
  tick,
  TICKS_PER_QUARTER,
  type SubdivisionId,
  type Tick,
} from '../time';

/** Where an onset of the line lies on a filled grid. On a triplet grid an "&" is read swung: it
 * takes the last triplet of its beat. Null where the onset falls between the slots.
 * @param at ticks from the start of the line
 * @example gridPlace(quarters(3, 2), '8t') // => quarters(5, 3) */
export function gridPlace(at: Tick, grid: SubdivisionId): Tick | null {
  const slot = slotTicks(grid);
  if (at % slot === 0) return at;
  const inBeat = at % TICKS_PER_QUARTER;
  if (grid === '8t' && inBeat === quarters(1, 2)) return tick(at - inBeat + quarters(2, 3));
  return null;
}

/** What is wrong with an onset that no slot of the grid holds. */
export function offGridIssue(onset: Onset, grid: SubdivisionId, line: ReadingLine): Issue {
  const bar = barTicks(line.meter);
  return {
    code: 'onset-off-grid',
    path: ['play'],
    bar: Math.floor(onset.at / bar) + 1,
    count: countName(onset.at % bar, line.meter),
    grid: subdivision(grid).name,
  };
}
