import { sayDay, weekdayOf, type Day } from '@/core/studio';

/** @example sayMinutes(1510) // => '25 min' */
export function sayMinutes(seconds: number): string {
  return `${Math.round(seconds / 60)} min`;
}

/** @example sayDate('2026-03-02') // => 'Mon 2 Mar' */
export function sayDate(day: Day): string {
  return `${weekdayOf(day)} ${sayDay(day)}`;
}

/** Date fields take years of four figures. */
export const LAST_DATE = '9999-12-31';

export const KIND_WORDS = {
  'warm-up': 'warm-up',
  new: '',
  review: 'review',
  break: 'break',
} as const;

/** Longer lists of missed dates are counted. */
const MOST_DATES = 3;

/** @example sayMissed(['2026-03-02']) // => 'Missed: Mon 2 Mar. Planned anew from today.' */
export function sayMissed(missed: readonly Day[]): string {
  const [first = ''] = missed;
  const dates =
    missed.length > MOST_DATES
      ? `${missed.length} days since ${sayDate(first)}`
      : missed.map(sayDate).join(', ');
  return `Missed: ${dates}. Planned anew from today.`;
}
