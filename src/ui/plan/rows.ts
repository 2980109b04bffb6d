import { blocksOf, type Block, type PlannedDay } from '@/core/plan';

/** What a day plays, each exercise once, in the order of its first try. */
export function rowsOf({ entries }: Pick<PlannedDay, 'entries'>): readonly Block[] {
  const rows = new Map<string, Block>();
  for (const block of blocksOf(entries)) {
    if (block.kind === 'break') continue;
    const key = `${block.work} ${block.kind} ${block.on}`;
    const before = rows.get(key);
    const tries = block.tries + (before?.tries ?? 0);
    rows.set(key, { ...block, tries, seconds: block.seconds + (before?.seconds ?? 0) });
  }
  return [...rows.values()];
}
