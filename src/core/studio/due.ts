import type { StandItem } from './records';

/** Whether an item may be practised today: nothing comes first, and passed work is due again. */
export function isDue({ waitsFor, resting }: Pick<StandItem, 'waitsFor' | 'resting'>): boolean {
  return waitsFor.length === 0 && !resting;
}
