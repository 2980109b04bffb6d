import type { Assignment } from '../kit';
import type { Issue } from '../issue';
import { makeStroke, type Dynamic, type Stroke } from '../pattern';
import type { Onset, ReadingLine } from '../reading';
import {
  barTicks,
  formatMeter,
  isBinarySlot,
  quarters,
  slotTicks,
  swingOfSlot,
  tick,
  TICKS_PER_QUARTER,
  type SubdivisionId,
  type Tick,
} from '../time';

/** Where an onset of the line lies on a filled grid. On a triplet grid an "&" that is in no tuplet is
 * read swung: it takes the last triplet of its beat. Null where the onset falls between the slots.
 * @example the onset on the "&" of 2, '8t' // => quarters(5, 3) */
export function gridPlace(
  { at, slot: written }: Pick<Onset, 'at' | 'slot'>,
  grid: SubdivisionId,
): Tick | null {
  const slot = slotTicks(grid);
  if (at % slot === 0) return at;
  const inBeat = at % TICKS_PER_QUARTER;
  if (grid === '8t' && inBeat === quarters(1, 2) && isBinarySlot(written)) {
    return tick(at - inBeat + quarters(2, 3));
  }
  return null;
}

/** What a note of the line becomes, where it is written. */
export function strokeOn(onset: Onset, { limb, voice }: Assignment, dynamic: Dynamic): Stroke {
  const { at, slot, swings, index } = onset;
  const from = { source: 'line', onset: index } as const;
  return makeStroke({ at, limb, voice, dynamic, slot, swings, from });
}

/** How strokes that fill a grid are written. @param slot length of the slots that are filled */
export function placeInSlots(slot: number): Pick<Stroke, 'slot' | 'swings'> {
  return { slot: tick(slot), swings: swingOfSlot(slot) };
}

/** What is wrong with an onset that no slot of the grid holds. */
export function offGridIssue(onset: Onset, grid: SubdivisionId, line: ReadingLine): Issue {
  const bar = barTicks(line.meter);
  return {
    code: 'onset-off-grid',
    path: ['play'],
    bar: Math.floor(onset.at / bar) + 1,
    at: onset.at % bar,
    meter: formatMeter(line.meter),
    grid,
  };
}
