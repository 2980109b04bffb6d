/** How many backups are kept: of each of the last days, weeks and months on which there was one, the latest. */
const KEPT = { days: 7, weeks: 4, months: 12 } as const;

/** Which of these instants a rule keeps: the latest of each of the last so many days, of weeks (they begin on Monday)
 * and of months, in UTC. The latest of all always stays.
 * @param taken epoch ms, in any order
 * @returns those to keep, latest first */
export function keptOf(taken: readonly number[]): readonly number[] {
  const latestFirst = [...new Set(taken)].sort((a, b) => b - a);
  const dayOf = (at: number) => Math.floor(at / 86_400_000);
  const by = {
    days: dayOf,
    // 1970 began on a Thursday.
    weeks: (at: number) => Math.floor((dayOf(at) + 3) / 7),
    months: (at: number) => new Date(at).toISOString().slice(0, 7),
  };
  const kept = new Set<number>();
  for (const [span, most] of Object.entries(KEPT) as [keyof typeof KEPT, number][]) {
    const seen = new Set<unknown>();
    for (const at of latestFirst) {
      const key = by[span](at);
      if (seen.has(key) || seen.size >= most) continue;
      seen.add(key);
      kept.add(at);
    }
  }
  return latestFirst.filter((at) => kept.has(at));
}
