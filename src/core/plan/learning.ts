import { cleanShare, type Tally } from './tally';

/** A try on the way to a rung that was not won before. */
export interface FreshTry {
  /** Played on that rung before it. */
  readonly minutes: number;
  readonly clean: boolean;
}

/** How fast a student may learn, with how likely that is, and how an exercise's rungs would begin then. */
interface Rate {
  /** Of what is not clean yet on a rung, the share that a minute of playing takes away. */
  readonly aMinute: number;
  /** 0 to 1; of all rates 1. */
  readonly chance: number;
  /** Clean tries and others at the beginning of a rung, as weights of a Beta distribution. */
  readonly start: Tally;
}

export type Learning = readonly Rate[];

/** What is thought of somebody of whom nothing is known: a seventh a minute, a third of it or three times as much within
 * one standard deviation. Set so that forecasts held against model students (`core/simulation`) held what was so. */
const USUAL_RATE = 0.15;
const SPREAD = 1.1;

/** Rates lie three quarters of a standard deviation apart: down to what is as good as none, up to three of them. */
const DEVIATIONS = Array.from({ length: 13 }, (_, at) => 0.75 * at - 6);
const RATES = DEVIATIONS.map((one) => USUAL_RATE * Math.exp(SPREAD * one));
/** Shares of clean tries that a rung may begin with. */
const STARTS = Array.from({ length: 25 }, (_, at) => (at + 0.5) / 25);

/** What tries tell of how fast a student learns, over all exercises, and of how each one's rungs begin: for every rate
 * and every beginning how likely it makes what was so (Bayes), where a try after so many minutes is clean with the
 * chance 1 − (1 − beginning) · e^(−rate · minutes).
 * @param items tries of each exercise, oldest first  @param before what is thought of a beginning before them, as so
 * many tries */
export function learningOf(
  items: readonly (readonly FreshTry[])[],
  before: Tally,
): readonly Learning[] {
  const usual = STARTS.map(
    (start) => (before.clean - 1) * Math.log(start) + (before.other - 1) * Math.log(1 - start),
  );
  // By exercise and rate, the logarithm of how likely each beginning is.
  const logs = items.map((tries) => {
    // Tight loops: a day with many exercises waits for this.
    const clean = Uint8Array.from(tries, (one) => Number(one.clean));
    const left = new Float64Array(tries.length);
    return RATES.map((rate) => {
      tries.forEach(({ minutes }, nth) => {
        left[nth] = Math.exp(-Math.min(MOST_LEFT, rate * minutes));
      });
      return STARTS.map((start, at) => {
        let [sum, product] = [usual[at] ?? 0, 1];
        for (let nth = 0; nth < left.length; nth += 1) {
          const missed = (1 - start) * (left[nth] ?? 1);
          product *= clean[nth] === 1 ? 1 - missed : missed;
          if (product > LEAST) continue;
          sum += Math.log(product);
          product = 1;
        }
        return sum + Math.log(product);
      });
    });
  });
  const chances = sharesOf(
    DEVIATIONS.map((one, at) =>
      logs.reduce((sum, of) => sum + sumOf(of[at] ?? []), -(one ** 2) / 2),
    ),
  );
  return logs.map((of) =>
    of.map((log, at) => ({
      aMinute: RATES[at] ?? USUAL_RATE,
      chance: chances[at] ?? 0,
      start: beginning(sharesOf(log)),
    })),
  );
}

/** What is left after so much is as good as nothing. */
const MOST_LEFT = 200;

/** Below this a product of chances is carried on as its logarithm. */
const LEAST = 1e-200;

/** The logarithm of the sum of what has these logarithms. */
function sumOf(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, one) => sum + Math.exp(one - most), 0));
}

function sharesOf(logs: readonly number[]): readonly number[] {
  const all = sumOf(logs);
  return logs.map((one) => Math.exp(one - all));
}

/** The Beta distribution with the mean and the variance of beginnings that are so likely. */
function beginning(shares: readonly number[]): Tally {
  const mean = shares.reduce((sum, share, at) => sum + share * (STARTS[at] ?? 0), 0);
  const variance = shares.reduce(
    (sum, share, at) => sum + share * ((STARTS[at] ?? 0) - mean) ** 2,
    APART ** 2 / 12,
  );
  const tries = (mean * (1 - mean)) / variance - 1;
  return { clean: mean * tries, other: (1 - mean) * tries };
}

/** Beginnings lie so far apart. */
const APART = 1 / STARTS.length;

/** The closer to what somebody can at all, the slower it goes: a minute teaches as much less as the tempo's ratio to this
 * power says. Set as the rate was. */
export const SLOWER = 3;

/** By rung, what of what a minute teaches now is left there, 0 to 1. @param tempi by rung  @param now the best rung so far */
export function taughtOn(
  tempi: readonly number[],
  now: number,
  slower = SLOWER,
): readonly number[] {
  return tempi.map((bpm) => Math.max(1, bpm / (tempi[now] ?? bpm)) ** -slower);
}

/** What a minute is expected to take away, and the share of clean tries that a rung is expected to begin with. */
export function expectedOf(learning: Learning): {
  readonly aMinute: number;
  readonly start: number;
} {
  const mean = (of: (rate: Rate) => number) =>
    learning.reduce((sum, rate) => sum + rate.chance * of(rate), 0);
  return {
    aMinute: Math.exp(mean(({ aMinute }) => Math.log(aMinute))),
    start: mean(({ start }) => cleanShare(start)),
  };
}

/** One of the rates, each as often as it is likely. @param at 0 up to 1 */
export function rateAt(learning: Learning, at: number): Rate {
  let rest = at;
  const found = learning.find(({ chance }) => (rest -= chance) < 0) ?? learning.at(-1);
  if (!found) throw new RangeError('no rate to learn at');
  return found;
}
