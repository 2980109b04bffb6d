import type { Day } from '../calendar';
import type { LadderState, Try } from '../ladder';

/** Rungs that were won by the end of a date. */
export interface Climbed {
  readonly day: Day;
  readonly rungs: number;
}

/** Notes how far a ladder was at the end of each date with tries.
 * @returns what to hand to `replay`, and what it came to */
export function countWay(): {
  readonly watch: (entry: Try, before: LadderState) => void;
  readonly way: (now: LadderState) => readonly Climbed[];
} {
  const found: Climbed[] = [];
  let last: Day | null = null;
  return {
    watch({ day }, before) {
      if (last !== null && day !== last) found.push({ day: last, rungs: rungsWon(before) });
      last = day;
    },
    way: (now) => (last === null ? found : [...found, { day: last, rungs: rungsWon(now) }]),
  };
}

function rungsWon({ passed, rung, rungs }: LadderState): number {
  return passed ? rungs.length : rung;
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
