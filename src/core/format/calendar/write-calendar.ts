import ical, { ICalEventTransparency } from 'ical-generator';
import { daysAfter, type Day } from '../../calendar';

/** A day of practice, as a calendar shows it. */
export interface CalendarDay {
  /** Names it: written again, it takes the place of what was there. */
  readonly id: string;
  readonly day: Day;
  readonly title: string;
  readonly text: string;
}

/** Writes days as a calendar (RFC 5545): an event that lasts all day for each, which does not make one busy.
 * @param at when it was written, epoch ms */
export function writeCalendar(name: string, days: readonly CalendarDay[], at: number): string {
  const calendar = ical({
    name,
    prodId: { company: 'Mivvel', product: 'Mivvel' },
    events: days.map(({ id, day, title, text }) => ({
      id: `${id}@mivvel`,
      start: noon(day),
      end: noon(daysAfter(day, 1)),
      allDay: true,
      stamp: new Date(at),
      summary: title,
      description: text,
      transparency: ICalEventTransparency.TRANSPARENT,
    })),
  });
  return calendar.toString();
}

/** In the middle of the day, so that no zone makes another date of it. */
function noon(day: Day): Date {
  return new Date(`${day}T12:00:00Z`);
}
