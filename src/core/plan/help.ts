import { dayNumber, WEEKDAYS, type Day } from '../calendar';
import { MOST_LAST_TRIES } from '../ladder';
import { MOST_MINUTES } from './data';
import { forecast, type Forecasting } from './forecast';
import type { Tally } from './tally';
import { withoutWorks } from './unfit';
import type { PlannedExercise } from './work';

/** Futures for each thing that might help: enough to rank them. */
const FUTURES_OF_HELP = 400;

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
  | {
      readonly kind: 'fewer-clean';
      readonly work: number;
      readonly clean: number;
      readonly was: number;
    }
  | {
      readonly kind: 'last-tries';
      readonly work: number;
      readonly clean: number;
      readonly of: number;
    }
  | { readonly kind: 'lower-target'; readonly work: number; readonly rungs: number }
  | { readonly kind: 'lower-targets'; readonly share: number }
);

/** Less than this is not worth a change. Days. */
const WORTH = 2;

/** Minutes a day that are asked for where every day is taken already. */
const MORE_MINUTES = 10;

/** A day where there is none yet. */
const FIRST_MINUTES = 20;

/** How much of what is left of each ladder is kept, where no one change is enough. */
const LOWER_SHARES = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1, 0];

type Ways = readonly (readonly [WithoutGain, Forecasting])[];

/** What would help most, the most first: another day in the week, or more minutes a day; keeping to the days there are;
 * one exercise fewer, a smaller step or fewer clean in a row where it takes longest. Where the date is missed all the
 * same, or nothing is reached within half a year, a target that is reached; at last all of them lower. Each is forecast
 * with the same seed, so that only the change tells. */
export function findHelp(asked: Forecasting): readonly Help[] {
  const futures = Math.min(FUTURES_OF_HELP, asked.futures ?? FUTURES_OF_HELP);
  const look = (other: Forecasting) => forecast({ ...other, futures }).program.middle;
  const now = look(asked);
  const { target } = asked.schedule;
  const isFine = (middle: Day | null) => middle !== null && (target === null || middle <= target);
  const longest = slowestOf(asked);
  const ways: Ways = [
    ...moreTime(asked),
    ...((asked.keeps ?? 1) < 0.95 ? [[{ kind: 'keeps' }, { ...asked, keeps: 1 }] as const] : []),
    ...(longest === null ? [] : withLongest(asked, longest)),
  ];
  const found = ways.flatMap(([what, other]) => gainOf(what, look(other), now));
  if (longest !== null && !isFine(now)) {
    const lower = lowerTarget(asked, longest, (other) => isFine(look(other)));
    if (lower) found.push(...gainOf(lower[0], look(lower[1]), now));
    else if (!found.some(({ reached }) => isFine(reached))) {
      const [what, other] = lowerTargets(asked, (one) => isFine(look(one)));
      found.push(...gainOf(what, look(other), now));
    }
  }
  return found.sort((a, b) => (a.reached < b.reached ? -1 : a.reached > b.reached ? 1 : 0));
}

/** A change with what it brings; nothing where that is not worth it. */
function gainOf(what: WithoutGain, reached: Day | null, now: Day | null): Help[] {
  if (reached === null) return [];
  const days = now === null ? null : dayNumber(now) - dayNumber(reached);
  return days !== null && days < WORTH ? [] : [{ ...what, days, reached }];
}

type WithoutGain = Help extends infer One
  ? One extends Help
    ? Omit<One, 'days' | 'reached'>
    : never
  : never;

/** What can be done about the exercise that takes longest. */
function withLongest(asked: Forecasting, work: number): Ways {
  const { clean = 1, of } = asked.works[work]?.rule ?? {};
  const ways: (readonly [WithoutGain, Forecasting])[] = [
    [{ kind: 'fewer', work }, fewer(asked, work)],
    [{ kind: 'smaller-step', work }, smallerStep(asked, work)],
  ];
  if (clean === 1 || of !== undefined) return ways;
  ways.push([
    { kind: 'fewer-clean', work, clean: clean - 1, was: clean },
    withRule(asked, work, { clean: clean - 1 }),
  ]);
  const last = clean + 1;
  if (last <= MOST_LAST_TRIES) {
    ways.push([{ kind: 'last-tries', work, clean, of: last }, withRule(asked, work, { of: last })]);
  }
  return ways;
}

/** The first free weekday with the time that the others have; where none is free, more of each. */
function moreTime(asked: Forecasting): Ways {
  const { schedule } = asked;
  const taken = WEEKDAYS.filter((one) => schedule.week[one].minutes > 0);
  const free = WEEKDAYS.find((one) => schedule.week[one].minutes === 0);
  const total = taken.reduce((sum, one) => sum + schedule.week[one].minutes, 0);
  const week = { ...schedule.week };
  if (free) {
    const minutes =
      total === 0 ? FIRST_MINUTES : Math.max(5, Math.round(total / taken.length / 5) * 5);
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
    const { fresh, known, lost, learning } = work.pace;
    const half = (one: Tally): Tally => {
      return { clean: (one.clean + known.clean) / 2, other: (one.other + known.other) / 2 };
    };
    const halves = learning.map((rate) => ({ ...rate, start: half(rate.start) }));
    const trySeconds = work.trySeconds.flatMap((one, rung) => (rung === 0 ? [one] : [one, one]));
    const tempi = work.tempi.flatMap((one, rung) =>
      rung === 0 ? [one] : [(one + (work.tempi[rung - 1] ?? one)) / 2, one],
    );
    return {
      ...work,
      trySeconds,
      tempi,
      pace: { fresh: half(fresh), known, lost, learning: halves },
    };
  });
  const states = asked.states.map((state, at) =>
    at === index ? { ...state, rung: 2 * state.rung, best: 2 * state.best } : state,
  );
  return { ...asked, works, states };
}

/** Another rule for one exercise; what was won already is won as before. */
function withRule(
  asked: Forecasting,
  index: number,
  other: Partial<PlannedExercise['rule']>,
): Forecasting {
  const works = asked.works.map((work, at) =>
    at === index ? { ...work, rule: { ...work.rule, ...other } } : work,
  );
  const states = asked.states.map((state, at) => {
    if (at !== index) return state;
    const clean = Math.min(state.clean, (works[at]?.rule.clean ?? 1) - 1);
    return { ...state, clean, lately: 2 ** clean - 1 };
  });
  return { ...asked, works, states };
}

/** The target of one exercise as little lower as is enough.
 * @returns null where not even the next rung is */
function lowerTarget(
  asked: Forecasting,
  work: number,
  isEnough: (other: Forecasting) => boolean,
): readonly [WithoutGain, Forecasting] | null {
  const top = (asked.works[work]?.trySeconds.length ?? 1) - 1;
  let [low, high] = [asked.states[work]?.rung ?? 0, top];
  // What is enough lies from `low` down, what is not from `high` up.
  if (low >= top || !isEnough(cutTo(asked, work, low))) return null;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (isEnough(cutTo(asked, work, middle))) low = middle;
    else high = middle;
  }
  return [{ kind: 'lower-target', work, rungs: top - low }, cutTo(asked, work, low)];
}

/** All targets lower, as little as is enough, so that a share of the rungs left remains. */
function lowerTargets(
  asked: Forecasting,
  isEnough: (other: Forecasting) => boolean,
): readonly [WithoutGain, Forecasting] {
  const cut = (share: number) =>
    asked.works.reduce((sum, work, index) => {
      const state = asked.states[index];
      if (!state || state.passed) return sum;
      const left = work.trySeconds.length - 1 - state.rung;
      return cutTo(sum, index, state.rung + Math.floor(share * left));
    }, asked);
  const share = LOWER_SHARES.find((one) => isEnough(cut(one))) ?? 0;
  return [{ kind: 'lower-targets', share }, cut(share)];
}

/** A ladder that ends at a rung. */
function cutTo(asked: Forecasting, index: number, top: number): Forecasting {
  const works = asked.works.map((work, at) =>
    at === index
      ? {
          ...work,
          trySeconds: work.trySeconds.slice(0, top + 1),
          tempi: work.tempi.slice(0, top + 1),
        }
      : work,
  );
  return { ...asked, works };
}
