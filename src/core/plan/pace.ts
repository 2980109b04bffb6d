import type { LadderState, Try } from '../ladder';

/** Verdicts in one situation. */
export interface Tally {
  readonly clean: number;
  readonly other: number;
}

/** How a student's tries went: on the highest rung so far, where the ground is new, and below it, where
 * it was won before; how many of those that were not clean were lost. Weights of a Beta distribution: the
 * item's own tries, and a little of what the student does elsewhere. */
export interface Pace {
  readonly fresh: Tally;
  readonly known: Tally;
  /** Share, 0 to 1. */
  readonly lost: number;
}

/** What is counted for one item. */
export interface PaceCounts {
  readonly fresh: Tally;
  readonly known: Tally;
  readonly lost: number;
}

/** Only the last tries of either kind tell how it goes now. */
const LATELY = 20;

/** What a student without a record does, as so many tries: two in three clean; chosen for lack of a
 * source. */
const UNKNOWN: Tally = { clean: 2, other: 1 };

/** Weight of what the student does elsewhere, in tries. */
const ELSEWHERE = 4;

/** Counts an item's tries as they come, each with where the ladder stood before it. Who is stuck goes up
 * and down below what cannot be won: those tries say nothing about the rung above.
 * @returns what to hand to `replay`, and what it came to */
export function countPace(): {
  readonly watch: (entry: Try, before: LadderState) => void;
  readonly counts: () => PaceCounts;
} {
  const seen: { fresh: boolean; verdict: Try['verdict'] }[] = [];
  return {
    watch({ verdict }, { rung, gain, passed, climbing }) {
      if (!climbing) seen.push({ fresh: !passed && rung >= gain.rung, verdict });
    },
    counts() {
      const late = [true, false].map((fresh) =>
        seen.filter((one) => one.fresh === fresh).slice(-LATELY),
      );
      const [fresh = [], known = []] = late;
      const lost = late.flat().filter((one) => one.verdict === 'lost').length;
      return { fresh: tallyOf(fresh), known: tallyOf(known), lost };
    },
  };
}

function tallyOf(tries: readonly { readonly verdict: Try['verdict'] }[]): Tally {
  const clean = tries.filter((one) => one.verdict === 'clean').length;
  return { clean, other: tries.length - clean };
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
  return items.map((one) => ({
    fresh: add(one.fresh, scaled(fresh)),
    known: add(one.known, scaled(known)),
    lost: lostShare,
  }));
}

function add(a: Tally, b: Tally): Tally {
  return { clean: a.clean + b.clean, other: a.other + b.other };
}

function scaled({ clean, other }: Tally): Tally {
  const all = clean + other;
  return { clean: (ELSEWHERE * clean) / all, other: (ELSEWHERE * other) / all };
}

/** The share of clean tries to be expected, 0 to 1. */
export function cleanShare({ clean, other }: Tally): number {
  return clean / (clean + other);
}

/** Tries that win a rung, when so many clean in a row are asked for and each is clean with the same
 * chance: (1 − pᶜ) / ((1 − p) pᶜ), the mean wait for a run of successes (Feller, An Introduction to
 * Probability Theory and Its Applications, vol. 1, XIII.7; from memory).
 * @example expectedTries(0.5, 2) // => 6 */
export function expectedTries(chance: number, inARow: number): number {
  const p = Math.min(0.999, Math.max(0.001, chance));
  const all = p ** inARow;
  return (1 - all) / ((1 - p) * all);
}
