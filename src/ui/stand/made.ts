import type { Posted } from '@/core/log';
import { afterEntries, itemKey, type StandItem } from '@/core/studio';
import type { Learnt } from '../log';
import type { Stand } from './round';

/** Items as the server knows them, moved on by what was made here. */
export function withMade(
  stand: Stand,
  known: readonly StandItem[],
  made: readonly Posted[],
): Stand {
  const items = known.map((item) => afterEntries(item, made, stand.day, stand.counted));
  return { ...stand, known, made, items };
}

/** What the server says corrects what was worked out here; what it does not have yet still moves on. A try
 * stays until what was said about it is there too. */
export function learn(stand: Stand, { stored, dropped, items }: Learnt): Stand {
  const [there, out] = [new Set(stored), new Set(dropped)];
  const byKey = new Map(items.map((item) => [itemKey(item), item]));
  const known = stand.known.map((item) => {
    const learnt = byKey.get(itemKey(item));
    return learnt ? { ...item, ...learnt, item: item.item } : item;
  });
  const said = new Set(
    stand.made.flatMap((one) => (one.kind === 'judged' && there.has(one.id) ? [one.about] : [])),
  );
  const counted = new Set([...stand.counted, ...stored]);
  const made = stand.made.filter((one) => {
    if (out.has(one.id) || ('about' in one && out.has(one.about))) return false;
    if (one.kind !== 'try') return !there.has(one.id);
    return !counted.has(one.id) || !said.has(one.id);
  });
  const judged = stand.judged.filter((one) => !out.has(one.tryId));
  return { ...withMade({ ...stand, counted }, known, made), judged };
}
