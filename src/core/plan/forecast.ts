import { dayNumber, WEEKDAYS, type Day } from '../calendar';
import { seeded } from '../chance';
import { liveThrough, type FutureDay } from './future';
import { cleanShare } from './pace';
import { leftOf, type Planning } from './plan';
import { datesFrom, hoursOn } from './schedule';
import { MOST_MINUTES } from './data';
import { stretchesOf } from './stretches';
import { withoutWorks } from './unfit';
import { goingFrom, type PlannedExercise } from './work';

/** Dates that a forecast looks ahead: half a year. */
const FORECAST_DAYS = 182;

const FUTURES = 2000;

/** Futures for each thing that might help: enough to rank them. */
const FUTURES_OF_HELP = 400;

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
  /** Share of the planned dates on which the student practises, 0 to 1. */
  readonly keeps: number;
  readonly seed: number;
  readonly futures?: number;
}

/** When each ladder and all of them reach their targets: plays so many futures through, with the
 * student's own shares of clean tries, over the dates of the schedule. The same seed gives the same
 * forecast. */
export function forecast(asked: Forecasting): Forecast {
  const { works, states, schedule, today, keeps, seed, futures = FUTURES } = asked;
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

/** What would bring the targets nearer, and by how much. */
export type Help = {
  /** Days by which the middle of the futures comes earlier; null where only now it is reached at all. */
  readonly days: number | null;
  /** When the program would be reached, in the middle of the futures. */
  readonly reached: Day;
} & (
  | { readonly kind: 'day'; readonly weekday: (typeof WEEKDAYS)[number]; readonly minutes: number }
  | { readonly kind: 'minutes'; readonly more: number }
  | { readonly kind: 'keeps' }
  | { readonly kind: 'fewer'; readonly work: number }
  | { readonly kind: 'smaller-step'; readonly work: number }
);

/** Less than this is not worth a change. Days. */
const WORTH = 2;

/** Minutes a day that are asked for where every day is taken already. */
const MORE_MINUTES = 10;

/** What would help most, the most first: another day in the week, or more minutes a day; keeping to the
 * days there are; one exercise fewer; a smaller step where it takes longest. Each is forecast with the
 * same seed, so that only the change tells. */
export function findHelp(asked: Forecasting): readonly Help[] {
  const look = (other: Forecasting) =>
    forecast({ ...other, futures: FUTURES_OF_HELP }).program.middle;
  const now = look(asked);
  const longest = slowestOf(asked);
  const ways: readonly (readonly [WithoutGain, Forecasting])[] = [
    ...moreTime(asked),
    ...(asked.keeps < 0.95 ? [[{ kind: 'keeps' }, { ...asked, keeps: 1 }] as const] : []),
    ...(longest === null
      ? []
      : [
          [{ kind: 'fewer', work: longest }, fewer(asked, longest)] as const,
          [{ kind: 'smaller-step', work: longest }, smallerStep(asked, longest)] as const,
        ]),
  ];
  return ways
    .flatMap(([what, other]): readonly Help[] => {
      const reached = look(other);
      if (reached === null) return [];
      const days = now === null ? null : dayNumber(now) - dayNumber(reached);
      return days !== null && days < WORTH ? [] : [{ ...what, days, reached }];
    })
    .sort((a, b) => (a.reached < b.reached ? -1 : a.reached > b.reached ? 1 : 0));
}

type WithoutGain =
  | { readonly kind: 'day'; readonly weekday: (typeof WEEKDAYS)[number]; readonly minutes: number }
  | { readonly kind: 'minutes'; readonly more: number }
  | { readonly kind: 'keeps' }
  | { readonly kind: 'fewer' | 'smaller-step'; readonly work: number };

/** The first free weekday with the time that the others have; where none is free, more of each. */
function moreTime(asked: Forecasting): readonly (readonly [WithoutGain, Forecasting])[] {
  const { schedule } = asked;
  const taken = WEEKDAYS.filter((one) => schedule.week[one].minutes > 0);
  const free = WEEKDAYS.find((one) => schedule.week[one].minutes === 0);
  const total = taken.reduce((sum, one) => sum + schedule.week[one].minutes, 0);
  const week = { ...schedule.week };
  if (free) {
    const minutes = Math.max(5, Math.round(total / Math.max(1, taken.length) / 5) * 5);
    week[free] = { ...week[free], minutes };
    return [
      [
        { kind: 'day', weekday: free, minutes },
        { ...asked, schedule: { ...schedule, week } },
      ],
    ];
  }
  for (const one of WEEKDAYS) {
    const minutes = Math.min(MOST_MINUTES, week[one].minutes + MORE_MINUTES);
    week[one] = { ...week[one], minutes };
  }
  return [
    [
      { kind: 'minutes', more: MORE_MINUTES },
      { ...asked, schedule: { ...schedule, week } },
    ],
  ];
}

/** The open work that nothing waits for and that is reached last. */
function slowestOf(asked: Forecasting): number | null {
  const { works } = forecast({ ...asked, futures: FUTURES_OF_HELP });
  let slowest: number | null = null;
  let latest = '';
  for (const [index, range] of works.entries()) {
    if (!range || asked.works.some((work) => work.after.includes(index))) continue;
    const late = range.middle ?? '9';
    if (late > latest) [slowest, latest] = [index, late];
  }
  return slowest;
}

function fewer(asked: Forecasting, work: number): Forecasting {
  return { ...asked, ...withoutWorks(asked, new Set([work])) };
}

/** Twice the rungs, each half as new: it goes as well as halfway between new ground and known. */
function smallerStep(asked: Forecasting, index: number): Forecasting {
  const works = asked.works.map((work, at): PlannedExercise => {
    if (at !== index) return work;
    const { fresh, known, lost } = work.pace;
    const half = { clean: (fresh.clean + known.clean) / 2, other: (fresh.other + known.other) / 2 };
    const trySeconds = work.trySeconds.flatMap((one, rung) => (rung === 0 ? [one] : [one, one]));
    return { ...work, trySeconds, pace: { fresh: half, known, lost } };
  });
  const states = asked.states.map((state, at) =>
    at === index ? { ...state, rung: 2 * state.rung, best: 2 * state.best } : state,
  );
  return { ...asked, works, states };
}
