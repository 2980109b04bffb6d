import { BREAK_AFTER } from '@/core/plan';
import { itemKey, type RoundSlot } from '@/core/studio';
import { askVerdict } from './how-was-it';
import { at, itemAt, type Stand } from './round';

/** The next try is asked about, or the next one is ready: what was hardly begun once more. A start that is looked for is found before anything
 * else. */
export function advance(stand: Stand): Stand {
  if (stand.judging.length > 0) return askVerdict(stand);
  if (stand.toPlay > 0) return at(stand, { kind: 'ready' });
  if (itemAt(stand, stand.place)?.state.climbing) return at(stand, { kind: 'ready' });
  return next(stand.stays ? withSameNext(stand) : stand);
}

/** What was just played comes next, while it stands on the rung that it was played at. */
function withSameNext(stand: Stand): Stand {
  const { played, place, slots } = stand;
  const slot = slots[place];
  const now = itemAt(stand, place);
  if (!played || !now || !slot || slot.key !== itemKey(played)) return stand;
  const isOver = now.state.passed || now.state.rung !== played.state.rung;
  if (isOver || slots[place + 1]?.key === slot.key) return stand;
  return { ...stand, slots: [...slots.slice(0, place + 1), slot, ...slots.slice(place + 1)] };
}

export function next(stand: Stand): Stand {
  return settle({ ...stand, place: stand.place + 1, toPlay: 0 });
}

/** Ready at the next place that is still to be played: what was passed meanwhile is left out, and after
 * long enough there is a break, planned or not. */
export function settle(stand: Stand): Stand {
  let { place } = stand;
  while (place < stand.slots.length && isPassedBy(stand, place)) place += 1;
  const here = { ...stand, place };
  if (place >= stand.slots.length) return at(here, { kind: 'done' });
  const resting = stand.slots[place]?.key === null;
  if (resting && place === stand.slots.length - 1) return at(here, { kind: 'done' });
  if (resting) return at(here, { kind: 'break' });
  if (stand.sinceBreak < BREAK_AFTER) return at(here, { kind: 'ready' });
  const rest: RoundSlot = { key: null, kind: 'break', on: 'kit', cutTo: null };
  const slots = [...stand.slots.slice(0, place), rest, ...stand.slots.slice(place)];
  return at({ ...here, slots }, { kind: 'break' });
}

/** Whether new work of the round was passed in it. */
function isPassedBy(stand: Stand, place: number): boolean {
  return stand.slots[place]?.kind === 'new' && itemAt(stand, place)?.state.passed === true;
}

/** What was just played once more, here and at once; what was to come comes after it. */
export function playAgain(stand: Stand): Stand {
  const key = stand.played && itemKey(stand.played);
  const before = stand.slots.slice(0, stand.place + 1).findLast((slot) => slot.key === key);
  if (!before) return stand;
  const { place } = stand;
  const slots = [...stand.slots.slice(0, place), before, ...stand.slots.slice(place)];
  return at({ ...stand, slots }, { kind: 'ready', atOnce: true });
}
