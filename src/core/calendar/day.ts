/** A calendar day, `2026-03-29`. */
export type Day = string;

/** A formatter takes longer to make than a log entry to store. */
const FORMATS = new Map<string, Intl.DateTimeFormat>();

/** The practice day of an instant, in the studio's time zone.
 * @param zone an IANA name  @throws RangeError on an unknown zone
 * @example dayOf(Date.UTC(2026, 0, 1, 23, 30), 'Europe/Lisbon') // => '2026-01-01' */
export function dayOf(epochMs: number, zone: string): Day {
  let format = FORMATS.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-CA', { timeZone: zone, dateStyle: 'short' });
    FORMATS.set(zone, format);
  }
  return format.format(epochMs);
}

/** The time of day of an instant, in a time zone; over a change of the clock it is what clocks show.
 * @param zone an IANA name  @throws RangeError on an unknown zone
 * @example clockOf(Date.UTC(2026, 2, 29, 17, 30), 'Europe/Lisbon') // => '18:30' */
export function clockOf(epochMs: number, zone: string): string {
  const of = { timeZone: zone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const;
  return new Intl.DateTimeFormat('en-GB', of).format(epochMs);
}

/** The instant at which clocks of a zone show a date and a time; where the clock is set back, one of the two, and where
 * it is set forward over it, the one an hour beside.
 * @param clock `18:30`  @param zone an IANA name  @returns epoch ms  @throws RangeError on an unknown zone
 * @example instantOf('2026-03-29', '18:30', 'Europe/Lisbon') // => Date.UTC(2026, 2, 29, 17, 30) */
export function instantOf(day: Day, clock: string, zone: string): number {
  const meant = Date.parse(`${day}T${clock}Z`);
  let at = meant;
  // What is off at first is the zone; where the clock changes in between, what is off then is the change.
  for (let turn = 0; turn < 2; turn += 1) {
    at += meant - Date.parse(`${dayOf(at, zone)}T${clockOf(at, zone)}Z`);
  }
  return at;
}

/** @example daysAfter('2026-02-27', 2) // => '2026-03-01' */
export function daysAfter(day: Day, days: number): Day {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/** Days from one day to a later one; negative to an earlier.
 * @example daysBetween('2026-02-27', '2026-03-01') // => 2 */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

export type Weekday = (typeof WEEKDAYS)[number];

/** @example weekdayOf('2026-03-01') // => 'Sun' */
export function weekdayOf(day: Day): Weekday {
  const index = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
  return WEEKDAYS[index] ?? 'Mon';
}

const DAY_MS = 86_400_000;

/** Days since 1970, to count with. @example dayNumber('1970-01-02') // => 1 */
export function dayNumber(day: Day): number {
  if (day === counted.day) return counted.number;
  const [year, month, date] = [day.slice(0, 4), day.slice(5, 7), day.slice(8, 10)];
  const number = Date.UTC(Number(year), Number(month) - 1, Number(date)) / DAY_MS;
  counted = { day, number };
  return number;
}

/** The day that was counted last: logs have many entries of one. */
let counted = { day: '1970-01-01', number: 0 };

/** @example dayAt(1) // => '1970-01-02' */
export function dayAt(number: number): Day {
  return new Date(number * DAY_MS).toISOString().slice(0, 10);
}
