import { WEEKDAYS, type Day, type Weekday } from '@/core/calendar';
import type { Say } from './say';

/** A formatter takes longer to make than to use. */
const FORMATS = new Map<string, Intl.DateTimeFormat>();

function format(locale: string, options: Intl.DateTimeFormatOptions, day: Day): string {
  const of = `${locale} ${JSON.stringify(options)}`;
  let found = FORMATS.get(of);
  if (!found) {
    FORMATS.set(of, (found = new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options })));
  }
  return found.format(Date.parse(`${day}T12:00:00Z`));
}

/** @example sayDay(ENGLISH, '2026-03-29') // => '29 Mar' */
export function sayDay({ locale }: Say, day: Day): string {
  return format(locale, { day: 'numeric', month: 'short' }, day);
}

/** With its year, for what is kept. @example sayFullDate(ENGLISH, '2026-03-29') // => '29 Mar 2026' */
export function sayFullDate({ locale }: Say, day: Day): string {
  return format(locale, { day: 'numeric', month: 'short', year: 'numeric' }, day);
}

/** @example sayWeekday(ENGLISH, '2026-03-29') // => 'Sun' */
export function sayWeekday({ locale }: Say, day: Day): string {
  return format(locale, { weekday: 'short' }, day);
}

/** A Monday to name the days of a week by. */
const MONDAY = Date.UTC(2024, 0, 1);

/** @example sayWeekdayName(ENGLISH, 'Sat') // => 'Sat' */
export function sayWeekdayName(say: Say, weekday: Weekday): string {
  const day = new Date(MONDAY + WEEKDAYS.indexOf(weekday) * 86_400_000).toISOString();
  return sayWeekday(say, day.slice(0, 10));
}

/** @example sayDate(ENGLISH, '2026-03-02') // => 'Mon 2 Mar' */
export function sayDate(say: Say, day: Day): string {
  return say.t('plan.date', { weekday: sayWeekday(say, day), day: sayDay(say, day) });
}

/** @example sayMinutes(ENGLISH, 1510) // => '25 min' */
export function sayMinutes({ t }: Say, seconds: number): string {
  return t('plan.minutes', { minutes: Math.round(seconds / 60) });
}

/** A moment where the reader is.
 * @param at epoch ms
 * @example sayInstant(ENGLISH, Date.UTC(2026, 2, 29, 9, 5)) // => '29 Mar 2026, 09:05' */
export function sayInstant({ locale }: Say, at: number): string {
  return new Intl.DateTimeFormat(locale, {
    ...{ day: 'numeric', month: 'short', year: 'numeric' },
    ...{ hour: '2-digit', minute: '2-digit' },
  }).format(at);
}
