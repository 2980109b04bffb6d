import { daysAfter, weekdayOf, WEEKDAYS, type Day } from '../calendar';
import { fail, ok, type Issue, type Result } from '../issue';
import { USUAL_NOISE } from '../safety';
import type { Hours, Schedule } from './schedule-schema';
import { SURFACES } from './data';

export type Surface = (typeof SURFACES)[number];

const USUAL_HOURS: Hours = { minutes: 30, on: 'kit', at: '18:00', quiet: null };

/** Half an hour a day at the kit, until somebody says otherwise. */
export const USUAL_SCHEDULE: Schedule = {
  week: Object.fromEntries(WEEKDAYS.map((one) => [one, USUAL_HOURS])) as Schedule['week'],
  days: {},
  off: [],
  target: null,
  order: 'blocked',
  noise: USUAL_NOISE,
  since: null,
};

/** Whether a date lies in the dates off. */
export function isOff({ off }: Pick<Schedule, 'off'>, on: Day): boolean {
  return off.some(({ from, to }) => from <= on && on <= to);
}

/** The hours of a date: its own, none on a date off, else those of its weekday. */
export function hoursOn(schedule: Schedule, on: Day): Hours {
  const own = schedule.days[on];
  if (own) return own;
  return usualOn(schedule, on);
}

function usualOn(schedule: Schedule, on: Day): Hours {
  const usual = schedule.week[weekdayOf(on)];
  return isOff(schedule, on) ? { ...usual, minutes: 0 } : usual;
}

/** What is wrong with a schedule, all at once.
 * @param today dates that have passed cannot be aimed at anew
 * @param before the target date that it had, which may have passed since
 * @returns issues `week-empty`, `off-order`, `off-overlap`, `target-past` and `quiet-empty`, each with
 * the path of its field */
export function checkSchedule(
  schedule: Schedule,
  today: Day,
  before: Day | null = null,
): Result<Schedule> {
  const issues: Issue[] = [];
  if (WEEKDAYS.every((one) => schedule.week[one].minutes === 0)) {
    issues.push({ code: 'week-empty', path: ['week'] });
  }
  for (const one of WEEKDAYS) {
    const { quiet } = schedule.week[one];
    if (quiet && quiet.from === quiet.to) {
      issues.push({ code: 'quiet-empty', path: ['week', one], at: quiet.from });
    }
  }
  const off = [...schedule.off].sort((a, b) => (a.from < b.from ? -1 : 1));
  off.forEach(({ from, to }, index) => {
    if (to < from) issues.push({ code: 'off-order', path: ['off', index], from, to });
    const last = off[index - 1];
    if (last && from <= last.to) {
      const [one, other] = [last, { from, to }];
      issues.push({ code: 'off-overlap', path: ['off', index], one, other });
    }
  });
  const { target } = schedule;
  if (target !== null && target < today && target !== before) {
    issues.push({ code: 'target-past', path: ['target'], target, today });
  }
  return issues.length > 0 ? fail(...issues) : ok(schedule);
}

function told({ minutes, on, at, quiet }: Hours): string {
  return JSON.stringify([minutes, on, at, quiet?.from, quiet?.to]);
}

/** A date with hours of its own; those that it would have anyway are not kept. */
export function withDay(schedule: Schedule, on: Day, own: Hours): Schedule {
  const { [on]: _, ...days } = schedule.days;
  const usual = usualOn(schedule, on);
  const same = told(own) === told(usual);
  return { ...schedule, days: same ? days : { ...days, [on]: own } };
}

/** Practises on another date instead: the two dates change places, so that no minutes are won or lost.
 * @param today what has passed stays as it was
 * @returns issue `day-past` for a date that has passed */
export function moveSession(schedule: Schedule, from: Day, to: Day, today: Day): Result<Schedule> {
  const past = [from, to].find((one) => one < today);
  if (past !== undefined) return fail({ code: 'day-past', path: ['days'], day: past });
  if (from === to) return ok(schedule);
  const [hoursFrom, hoursTo] = [hoursOn(schedule, from), hoursOn(schedule, to)];
  return ok(withDay(withDay(schedule, from, hoursTo), to, hoursFrom));
}

/** Dates from one on, so many.
 * @example datesFrom('2026-02-27', 3) // => 27 and 28 February, 1 March */
export function datesFrom(first: Day, count: number): readonly Day[] {
  return Array.from({ length: count }, (_, index) => daysAfter(first, index));
}
