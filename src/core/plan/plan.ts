import { dayNumber, daysAfter, type Day } from '../calendar';
import { keepAgain, pass, raise } from '../ladder';
import type { PlannedTry } from './day-plan';
import { fillDay } from './fill';
import { fillOn } from './fill-on';
import { expectedOf, taughtOn } from './learning';
import { expectedTriesOf } from './pace';
import { hoursOn, isOff, type Surface } from './schedule';
import type { Hours, Schedule } from './schedule-schema';
import { stretchesOf, type Stretch } from './stretches';
import { cleanShare } from './tally';
import { goingFrom, type LadderInPlan, type PlannedExercise, type PlannedState } from './work';

/** Days that are planned ahead: twelve weeks. */
export const PLAN_DAYS = 84;

/** What is to be done on a date. */
export interface PlannedDay {
  readonly day: Day;
  readonly hours: Hours;
  /** Lies in the dates off. */
  readonly off: boolean;
  readonly entries: readonly PlannedTry[];
  /** Of all entries, breaks included; never more than the hours hold. */
  readonly seconds: number;
}

export interface Plan {
  readonly days: readonly PlannedDay[];
  /** By work: the date on which its target is expected; null beyond the last date. Passed work has
   * null too. */
  readonly reached: readonly (Day | null)[];
  /** By work: the first date on which it is played; null for never. */
  readonly begun: readonly (Day | null)[];
}

export interface Planning {
  readonly works: readonly PlannedExercise[];
  /** By work, as the log has it now. */
  readonly states: readonly PlannedState[];
  readonly schedule: Schedule;
  readonly today: Day;
  /** How many dates, today the first; `PLAN_DAYS` when left out. */
  readonly count?: number;
  /** Share of the planned dates on which the student practises, 0 to 1; all of them when left out. What is expected by
   * a date is so much less. */
  readonly keeps?: number;
}

/** Spreads works over dates, going on from where the log stands: each date is filled from what is
 * expected to be done by then, so that a change moves nothing on the dates before it. */
export function planDays(planning: Planning): Plan {
  const { works, states, schedule, today, count = PLAN_DAYS, keeps = 1 } = planning;
  const going = states.map(goingFrom);
  const wins = works.map((work, at) => winsPerTry(work, states[at]?.best ?? 0, keeps));
  const first = dayNumber(today);
  const reached: (Day | null)[] = works.map(() => null);
  const begun: (Day | null)[] = works.map(() => null);
  const days = Array.from({ length: count }, (_, index): PlannedDay => {
    const day = daysAfter(today, index);
    const hours = hoursOn(schedule, day);
    const all = stretchesOf(hours);
    const expect = ({ work }: PlannedTry) => {
      const state = going[work];
      if (!state) return;
      begun[work] ??= day;
      if (tryAsExpected(state, works[work], wins[work], first + index)) reached[work] = day;
    };
    const entries: PlannedTry[] = [];
    if (index === 0) {
      // Today is as it stands: what opens when something is passed is asked for when it is.
      const stretches = leftOf(all, states);
      entries.push(...fillDay(works, going, first, stretches, schedule.order));
      for (const entry of entries) expect(entry);
    } else {
      fillOn(works, going, first + index, all, schedule.order, (entry) => {
        entries.push(entry);
        expect(entry);
      });
    }
    for (const state of going) state.triesToday = 0;
    const seconds = entries.reduce((sum, entry) => sum + entry.seconds, 0);
    return { day, hours, off: isOff(schedule, day), entries, seconds };
  });
  return { days, reached, begun };
}

/** What is left of today once something was done. */
export function leftOf(
  stretches: readonly Stretch[],
  states: readonly PlannedState[],
): readonly Stretch[] {
  let done = states.reduce((sum, { today }) => sum + today.seconds, 0);
  return stretches.flatMap(({ on, seconds }) => {
    const used = Math.min(seconds, done);
    done -= used;
    return used < seconds ? [{ on, seconds: seconds - used }] : [];
  });
}

/** Rungs that one planned try wins, as may be expected: one over the tries that win a rung, and less where not every
 * date is kept. */
interface Wins {
  /** By rung. */
  readonly fresh: (rung: number) => number;
  readonly known: number;
}

function winsPerTry(
  { pace, rule, trySeconds, tempi }: PlannedExercise,
  best: number,
  keeps: number,
): Wins {
  const { clean, of = clean } = rule;
  const { aMinute, start } = expectedOf(pace.learning);
  const taught = taughtOn(tempi, best);
  const wins = (chance: number, rung: number) => {
    const minutes = (trySeconds[rung] ?? 0) / 60;
    const learnt = 1 - Math.exp(-aMinute * (taught[rung] ?? 1) * minutes);
    return keeps / expectedTriesOf(chance, clean, of, learnt);
  };
  const found: number[] = [];
  return {
    fresh: (rung) => (found[rung] ??= wins(start, rung)),
    known: wins(cleanShare(pace.known), trySeconds.length >> 1),
  };
}

/** One try, as it is expected to go. @returns whether it reaches the target */
function tryAsExpected(
  state: LadderInPlan,
  work: PlannedExercise | undefined,
  wins: Wins | undefined,
  day: number,
): boolean {
  if (!work || !wins) return false;
  state.lastDay = day;
  state.triesToday += 1;
  if (state.passed) {
    if (state.keepDue <= day) keepAgain(state, day);
    return false;
  }
  state.share += state.rung >= state.best ? wins.fresh(state.rung) : wins.known;
  if (state.share < 1) return false;
  state.share -= 1;
  if (state.rung < work.trySeconds.length - 1) {
    raise(state);
    return false;
  }
  pass(state, day);
  return true;
}

/** The entries of a date in order, those of one exercise that follow each other as one. */
export interface Block {
  readonly work: number;
  readonly kind: PlannedTry['kind'];
  readonly on: PlannedTry['on'];
  readonly tries: number;
  readonly seconds: number;
}

/** @example three tries of one exercise, then one of another // => two blocks */
export function blocksOf(entries: readonly PlannedTry[]): readonly Block[] {
  const blocks: Block[] = [];
  for (const { work, kind, on, seconds } of entries) {
    const last = blocks.at(-1);
    if (last && last.work === work && last.kind === kind && last.on === on) {
      const more = { tries: last.tries + 1, seconds: last.seconds + seconds };
      blocks[blocks.length - 1] = { ...last, ...more };
    } else blocks.push({ work, kind, on, tries: 1, seconds });
  }
  return blocks;
}

/** Minutes of playing by surface, breaks and rests not counted. */
export function minutesOf(entries: readonly PlannedTry[]): Readonly<Record<Surface, number>> {
  const minutes = { kit: 0, pad: 0 };
  for (const { kind, on, playSeconds } of entries) {
    if (kind !== 'break') minutes[on] += playSeconds / 60;
  }
  return minutes;
}
