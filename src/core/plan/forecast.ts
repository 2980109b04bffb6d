import { dayNumber, type Day } from '../calendar';
import { seeded } from '../chance';
import { liveThrough, type FutureDay } from './future';
import { cleanShare } from './tally';
import { leftOf, type Planning } from './plan';
import { datesFrom, hoursOn } from './schedule';
import { stretchesOf } from './stretches';
import { goingFrom, type PlannedExercise } from './work';

/** Dates that a forecast looks ahead: half a year. */
const FORECAST_DAYS = 182;

const FUTURES = 2000;

/** The middle four fifths of the futures are the range. */
const LOW = 0.1;
const HIGH = 0.9;

/** A date early, in the middle, and late; null lies beyond the last date. */
interface DateRange {
  readonly early: Day | null;
  readonly middle: Day | null;
  readonly late: Day | null;
  /** Share of the futures that reach it by the target date; null without one. */
  readonly inTime: number | null;
}

/** How far along the way all ladders together have come by a date, 0 to 1. */
interface WayPoint {
  readonly day: Day;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export interface Forecast {
  /** By work; null for what is passed. */
  readonly works: readonly (DateRange | null)[];
  readonly program: DateRange;
  /** By the week, today the first. */
  readonly way: readonly WayPoint[];
  readonly futures: number;
  /** Share of clean tries on new ground and on what was won before, over all works, as expected. */
  readonly clean: { readonly fresh: number; readonly known: number };
  readonly keeps: number;
}

export interface Forecasting extends Planning {
  readonly seed: number;
  readonly futures?: number;
}

/** When each ladder and all of them reach their targets: plays so many futures through, with the
 * student's own shares of clean tries, over the dates of the schedule. The same seed gives the same
 * forecast. */
export function forecast(asked: Forecasting): Forecast {
  const { works, states, schedule, today, keeps = 1, seed, futures = FUTURES } = asked;
  const count = asked.count ?? FORECAST_DAYS;
  const days = futureDays(asked, count);
  const random = seeded(seed);
  const reached = works.map(() => new Int16Array(futures));
  const program = new Int16Array(futures);
  const weeks = Math.floor(count / 7);
  const ways = Array.from({ length: weeks + 1 }, () => new Float32Array(futures));
  const rungs = works.reduce((sum, work) => sum + work.trySeconds.length, 0);
  for (let future = 0; future < futures; future += 1) {
    const going = states.map(goingFrom);
    const wayNow = () =>
      works.reduce((sum, work, index) => {
        const state = going[index];
        return sum + (state?.passed ? work.trySeconds.length : (state?.rung ?? 0));
      }, 0) / Math.max(1, rungs);
    const [start] = ways;
    let best = wayNow();
    if (start) start[future] = best;
    const onDay = (index: number) => {
      const week = (index + 1) % 7 === 0 ? ways[(index + 1) / 7] : undefined;
      if (week) week[future] = best = Math.max(best, wayNow());
    };
    const found = liveThrough(works, going, days, schedule.order, keeps, random, { onDay });
    let last = 0;
    found.forEach((at, index) => {
      const of = reached[index];
      if (of) of[future] = at;
      if (!states[index]?.passed) last = at < 0 ? BEYOND : Math.max(last, at);
    });
    program[future] = last;
  }
  const range = (of: Int16Array) => rangeOf(of, days, schedule.target);
  return {
    works: reached.map((of, index) => (states[index]?.passed ? null : range(of))),
    program: range(program),
    way: ways.map((of, week) => {
      const sorted = of.toSorted();
      const at = (share: number) => sorted[Math.floor(share * (futures - 1))] ?? 0;
      const day = datesFrom(today, 7 * week + 1).at(-1) ?? today;
      return { day, low: at(LOW), middle: at(0.5), high: at(HIGH) };
    }),
    futures,
    clean: sharesOf(works),
    keeps,
  };
}

/** Later than the last date. */
const BEYOND = 32_000;

function futureDays(
  { schedule, today, states }: Planning,
  count: number,
): readonly (FutureDay & { readonly day: Day })[] {
  const first = dayNumber(today);
  return datesFrom(today, count).map((day, index) => {
    const whole = stretchesOf(hoursOn(schedule, day));
    const stretches = index === 0 ? leftOf(whole, states) : whole;
    return { day, number: first + index, stretches };
  });
}

function rangeOf(
  found: Int16Array,
  days: readonly { readonly day: Day }[],
  target: Day | null,
): DateRange {
  const sorted = found.map((at) => (at < 0 ? BEYOND : at)).toSorted();
  const at = (share: number) => days[sorted[Math.floor(share * (sorted.length - 1))] ?? 0]?.day;
  const inTime = sorted.reduce(
    (sum, one) => sum + ((days[one]?.day ?? '9') <= (target ?? '') ? 1 : 0),
    0,
  );
  return {
    early: at(LOW) ?? null,
    middle: at(0.5) ?? null,
    late: at(HIGH) ?? null,
    inTime: target === null ? null : inTime / sorted.length,
  };
}

function sharesOf(works: readonly PlannedExercise[]): Forecast['clean'] {
  const mean = (pick: (work: PlannedExercise) => number) =>
    works.reduce((sum, work) => sum + pick(work), 0) / Math.max(1, works.length);
  return {
    fresh: mean(({ pace }) => cleanShare(pace.fresh)),
    known: mean(({ pace }) => cleanShare(pace.known)),
  };
}
