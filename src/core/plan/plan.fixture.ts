import fc from 'fast-check';
import { dayNumber, WEEKDAYS } from '../calendar';
import { startCounter } from '../ladder';
import {
  USUAL_SCHEDULE,
  type Hours,
  type Planning,
  type Schedule,
  type PlannedExercise,
  type PlannedState,
} from '.';
import type { Pace } from './pace';
import type { Tally } from './tally';

/** A Monday. */
export const TODAY = '2026-03-02';

/** A pace that each rung begins with; a minute of playing takes away so much of what is not clean. */
export function paceOf(fresh: Tally, known: Tally, lost = 0.3, aMinute = 0.04): Pace {
  return { fresh, known, lost, learning: [{ aMinute, chance: 1, start: fresh }] };
}

/** A work of five rungs, 5 minutes a try, 3 clean. */
export function work(id: string, own: Partial<PlannedExercise> = {}): PlannedExercise {
  return {
    id,
    name: id,
    after: [],
    needsKit: false,
    trySeconds: [300, 300, 300, 300, 300],
    tempi: [60, 65, 70, 75, 80],
    cuts: true,
    rule: { clean: 3, lost: 2, plateau: 20 },
    varies: false,
    headStart: false,
    waits: false,
    weight: 1,
    pace: paceOf({ clean: 6, other: 2 }, { clean: 9, other: 1 }),
    ...own,
  };
}

export const BEGINNING: PlannedState = {
  ...startCounter(0),
  missed: false,
  today: { tries: 0, seconds: 0 },
};

export function passedOn(day: string, due: string): PlannedState {
  const days = { keepDue: dayNumber(due), lastDay: dayNumber(day) };
  return { ...BEGINNING, rung: 4, best: 4, passed: true, ...days };
}

/** The same hours every day. */
export function everyDay(own: Partial<Hours>, more: Partial<Schedule> = {}): Schedule {
  const hours = { ...USUAL_SCHEDULE.week.Mon, ...own };
  const week = Object.fromEntries(WEEKDAYS.map((one) => [one, hours])) as Schedule['week'];
  return { ...USUAL_SCHEDULE, week, ...more };
}

const clock = fc
  .tuple(fc.integer({ min: 0, max: 23 }), fc.constantFrom('00', '15', '30'))
  .map(([hour, minute]) => `${String(hour).padStart(2, '0')}:${minute}`);

const hours: fc.Arbitrary<Hours> = fc.record({
  minutes: fc.constantFrom(0, 0, 5, 10, 20, 30, 45, 60, 120),
  on: fc.constantFrom('kit', 'pad'),
  at: clock,
  quiet: fc.option(fc.record({ from: clock, to: clock }), { nil: null }),
});

export const anySchedule: fc.Arbitrary<Schedule> = fc
  .record({
    week: fc.array(hours, { minLength: 7, maxLength: 7 }),
    order: fc.constantFrom('blocked' as const, 'interleaved' as const),
  })
  .map(({ week, order }) => ({
    ...USUAL_SCHEDULE,
    order,
    week: Object.fromEntries(WEEKDAYS.map((one, index) => [one, week[index]])) as Schedule['week'],
  }));

const tally = fc.record({
  clean: fc.integer({ min: 1, max: 20 }),
  other: fc.integer({ min: 1, max: 20 }),
});

/** Works that wait only for earlier ones, so that there is no circle. */
export const anyPlanning: fc.Arbitrary<Planning> = fc
  .record({
    works: fc.array(
      fc.record({
        after: fc.array(fc.nat({ max: 7 }), { maxLength: 2 }),
        needsKit: fc.boolean(),
        trySeconds: fc.array(fc.constantFrom(45, 120, 180, 302, 600, 1500), {
          minLength: 1,
          maxLength: 6,
        }),
        cuts: fc.boolean(),
        rule: fc.integer({ min: 1, max: 5 }).map((clean) => ({ clean, lost: 2, plateau: 20 })),
        pace: fc.tuple(tally, tally).map(([fresh, known]) => paceOf(fresh, known)),
        passed: fc.boolean(),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    schedule: anySchedule,
  })
  .map(({ works, schedule }) => ({
    schedule,
    today: TODAY,
    count: 28,
    works: works.map(({ passed: _, after, ...own }, index) =>
      work(`w${index}`, { ...own, after: after.filter((one) => one < index) }),
    ),
    states: works.map(({ passed, trySeconds }) =>
      passed ? { ...passedOn('2026-02-27', '2026-03-03'), rung: trySeconds.length - 1 } : BEGINNING,
    ),
  }));
