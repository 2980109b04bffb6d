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

/** @example sayDay('2026-03-29') // => '29 Mar' */
export function sayDay(day: Day): string {
  return new Intl.DateTimeFormat('en-GB', {
    timeZone: 'UTC',
    day: 'numeric',
    month: 'short',
  }).format(Date.parse(`${day}T12:00:00Z`));
}
