import { bitsOf, type Counter } from '../ladder';
import type { Verdict } from '../log';
import { learningOf, type FreshTry, type Learning } from './learning';
import type { Tally } from './tally';

/** How a student's tries went: on the highest rung so far, where the ground is new, and below it, where
 * it was won before; how many of those that were not clean were lost. Weights of a Beta distribution: the
 * item's own tries, and a little of what the student does elsewhere. */
export interface Pace {
  readonly fresh: Tally;
  readonly known: Tally;
  /** Share, 0 to 1. */
  readonly lost: number;
  readonly learning: Learning;
}

/** What is counted for one item. */
export interface PaceCounts {
  readonly fresh: Tally;
  readonly known: Tally;
  readonly lost: number;
  readonly tries: readonly FreshTry[];
}

/** Only the last tries of either kind tell how it goes now. */
const LATELY = 20;

/** How fast somebody learns shows in more of them. */
const LONG = 100;

/** What a student without a record does, as so many tries: two in three clean; chosen for lack of a
 * source. */
const UNKNOWN: Tally = { clean: 2, other: 1 };

/** Weight of what the student does elsewhere, in tries. */
const ELSEWHERE = 4;

/** The last verdicts on new ground, with the minutes played there before, and on ground that was won before, oldest
 * first. */
export interface PaceSeen {
  readonly fresh: { readonly verdict: Verdict; readonly minutes: number }[];
  readonly known: Verdict[];
  /** Minutes played since the highest rung was won, and which one that was. */
  minutes: number;
  best: number;
}

export function nothingSeen(): PaceSeen {
  return { fresh: [], known: [], minutes: 0, best: 0 };
}

/** The same, to go on from without changing it. */
export function copySeen({ fresh, known, ...rest }: PaceSeen): PaceSeen {
  return { fresh: [...fresh], known: [...known], ...rest };
}

/** One try more; changes what was seen. Who is stuck goes up and down below what cannot be won: those tries say nothing about
 * the rung above. One that nobody judged is time played, and says nothing else.
 * @param before where the ladder stood before the try */
export function seePace(
  seen: PaceSeen,
  { verdict, seconds }: { readonly verdict: Verdict | null; readonly seconds: number },
  { rung, best, passed, climbing }: Pick<Counter, 'rung' | 'best' | 'passed' | 'climbing'>,
): void {
  if (seen.best !== best) [seen.best, seen.minutes] = [best, 0];
  const { minutes } = seen;
  seen.minutes += seconds / 60;
  if (climbing || verdict === null) return;
  if (!passed && rung >= best) keepLast(seen.fresh, { verdict, minutes }, LONG);
  else keepLast(seen.known, verdict, LATELY);
}

function keepLast<One>(all: One[], one: One, most: number): void {
  all.push(one);
  if (all.length > most) all.shift();
}

/** What was seen, counted. */
export function paceCounts({ fresh, known }: PaceSeen): PaceCounts {
  const late = fresh.slice(-LATELY).map(({ verdict }) => verdict);
  return {
    fresh: tallyOf(late),
    known: tallyOf(known),
    lost: [...late, ...known].filter((one) => one === 'lost').length,
    tries: fresh.map(({ verdict, minutes }) => ({ minutes, clean: verdict === 'clean' })),
  };
}

function tallyOf(verdicts: readonly Verdict[]): Tally {
  const clean = verdicts.filter((one) => one === 'clean').length;
  return { clean, other: verdicts.length - clean };
}

/** Each item's pace: its own tries, with a little of the student's others where it has few.
 * @param items what was counted for each item of one student */
export function pacesOf(items: readonly PaceCounts[]): readonly Pace[] {
  const all = (pick: (one: PaceCounts) => Tally): Tally =>
    items.reduce((sum, one) => add(sum, pick(one)), UNKNOWN);
  const fresh = all((one) => one.fresh);
  const known = all((one) => one.known);
  const notClean = fresh.other + known.other;
  const lost = items.reduce((sum, one) => sum + one.lost, 0);
  const lostShare = (lost + 0.5) / (notClean + 1);
  const learning = learningOf(
    items.map(({ tries }) => tries),
    scaled(fresh),
  );
  return items.map((one, index) => ({
    fresh: add(one.fresh, scaled(fresh)),
    known: add(one.known, scaled(known)),
    lost: lostShare,
    learning: learning[index] ?? [],
  }));
}

function add(a: Tally, b: Tally): Tally {
  return { clean: a.clean + b.clean, other: a.other + b.other };
}

function scaled({ clean, other }: Tally): Tally {
  const all = clean + other;
  return { clean: (ELSEWHERE * clean) / all, other: (ELSEWHERE * other) / all };
}

/** Tries after which the tail of what has not come yet is taken as geometric. */
const LONG_WAIT = 2000;

/** Tries that win a rung, when so many clean of the last ones are asked for: the chances of all that the last tries
 * can be, carried on a try at a time.
 * @param learnt of what is not clean yet, the share that a try takes away, 0 to 1
 * @example expectedTriesOf(0.5, 2, 3) // => 14 / 3 */
export function expectedTriesOf(chance: number, clean: number, of: number, learnt = 0): number {
  let p = Math.min(0.999, Math.max(0.001, chance));
  const kept = 2 ** (of - 1) - 1;
  let now = new Float64Array(kept + 1);
  now[0] = 1;
  let [left, before, sum] = [1, 1, 0];
  for (let tries = 0; left > 1e-9; tries += 1) {
    if (tries > LONG_WAIT) return sum + left / (1 - left / before);
    sum += left;
    const next = new Float64Array(kept + 1);
    for (const [last, share] of now.entries()) {
      if (share === 0) continue;
      const missed = (last << 1) & kept;
      next[missed] = (next[missed] ?? 0) + (1 - p) * share;
      const hit = (last << 1) | 1;
      if (bitsOf(hit) < clean) next[hit & kept] = (next[hit & kept] ?? 0) + p * share;
    }
    now = next;
    p = Math.min(0.999, 1 - (1 - p) * (1 - learnt));
    before = left;
    left = now.reduce((total, share) => total + share, 0);
  }
  return sum;
}
