import type { Need } from './needs';

/** What to hear first in a lesson: the items that need it, most urgent first, then those that were
 * worked on last.
 * @param items each with the instant of its last try; -1 without any */
export function hearFirst<Item extends { readonly id: string; readonly lastAt: number }>(
  items: readonly Item[],
  needs: readonly Need[],
): readonly Item[] {
  const urgency = (item: Item) =>
    Math.max(0, ...needs.filter((need) => need.item === item.id).map((need) => need.urgency));
  return [...items].sort((a, b) => urgency(b) - urgency(a) || b.lastAt - a.lastAt);
}
