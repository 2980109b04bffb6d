import { MOST_DECIDED, type Family } from '@/core/family';

/** What a teacher decides about members, by their keys. */
export type Decided = Partial<Pick<Family, 'kept' | 'dropped' | 'order' | 'first' | 'last'>>;

/** Whether decisions about so many members can be kept one by one. */
export function canDecide(count: number): boolean {
  return count <= MOST_DECIDED;
}

/** Members are left out. @returns null where they are too many to be remembered */
export function dropped(
  { kept, dropped: before }: Pick<Family, 'kept' | 'dropped'>,
  keys: readonly string[],
): Decided | null {
  if (kept) return { kept: kept.filter((one) => !keys.includes(one)) };
  return canDecide(before.length + keys.length) ? { dropped: [...before, ...keys] } : null;
}

/** Members that were left out come back. */
export function keptAgain(
  { kept, dropped: before }: Pick<Family, 'kept' | 'dropped'>,
  keys: readonly string[],
): Decided {
  return {
    dropped: before.filter((one) => !keys.includes(one)),
    kept: kept && [...kept, ...keys.filter((one) => !kept.includes(one))],
  };
}

/** Members go to an end, after those that are there; all of them off it, where all are.
 * @param order keys of the path as it is shown */
export function pinned(
  family: Pick<Family, 'first' | 'last' | 'order'>,
  keys: readonly string[],
  end: 'first' | 'last',
  order: readonly string[],
): Decided {
  const off = keys.every((key) => family[end].includes(key));
  const other = end === 'first' ? 'last' : 'first';
  const without = (all: readonly string[]) => all.filter((key) => !keys.includes(key));
  const there = without(family[end]);
  const now = off ? there : end === 'first' ? [...there, ...keys] : [...keys, ...there];
  return {
    [end]: now,
    [other]: without(family[other]),
    ...(family.order !== null && !off && { order: atEnds(order, now, end) }),
  };
}

/** An order made by hand, with what is pinned at its end. */
function atEnds(
  order: readonly string[],
  keys: readonly string[],
  end: 'first' | 'last',
): readonly string[] {
  const rest = order.filter((key) => !keys.includes(key));
  return end === 'first' ? [...keys, ...rest] : [...rest, ...keys];
}
