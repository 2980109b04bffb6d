import type { Day } from '../calendar';
import type { LadderState } from '../ladder';

/** Rungs that were won by the end of a date. */
export interface Climbed {
  readonly day: Day;
  readonly rungs: number;
}

/** How far a ladder is at the end of each date with tries, after one more entry.
 * @param day of the entry, where it is a try; null for a decision, which moves the last date's end */
export function climbed(way: Climbed[], day: Day | null, now: LadderState): void {
  const last = way.at(-1);
  const rungs = now.passed ? now.rungs.length : now.rung;
  if (day !== null && day !== last?.day) way.push({ day, rungs });
  else if (last && last.rungs !== rungs) way[way.length - 1] = { ...last, rungs };
}

/** How far along the way all ladders together were, by date, 0 to 1; each stays where it was until it
 * moves.
 * @param items each with its way and how many rungs it has */
export function wayDone(
  items: readonly { readonly way: readonly Climbed[]; readonly rungs: number }[],
): readonly { readonly day: Day; readonly share: number }[] {
  const all = items.reduce((sum, one) => sum + one.rungs, 0);
  const days = [...new Set(items.flatMap((one) => one.way.map(({ day }) => day)))].sort();
  const at = items.map(() => 0);
  return days.map((day) => {
    const won = items.reduce((sum, { way }, index) => {
      let next = at[index] ?? 0;
      while ((way[next]?.day ?? '9') <= day) next += 1;
      at[index] = next;
      return sum + (way[next - 1]?.rungs ?? 0);
    }, 0);
    return { day, share: won / Math.max(1, all) };
  });
}
