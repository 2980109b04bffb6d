import { itemKey, type StandItem } from '@/core/studio';
import type { Stand } from './round';

/** Where an item stands in the round: which of its exercises it is, and which of its tries is next or was just
 * played; all count from 1. */
export interface PlaceInRound {
  readonly exercise: number;
  readonly exercises: number;
  readonly nth: number;
  readonly tries: number;
}

export function placeInRound({ slots, place }: Stand, item: StandItem): PlaceInRound {
  const key = itemKey(item);
  const keys = [...new Set(slots.flatMap((slot) => slot.key ?? []))];
  const mine = slots.flatMap((slot, index) => (slot.key === key ? [index] : []));
  const until = mine.filter((index) => index <= place).length;
  return {
    exercise: keys.indexOf(key) + 1,
    exercises: keys.length,
    nth: Math.max(1, until),
    tries: mine.length,
  };
}
