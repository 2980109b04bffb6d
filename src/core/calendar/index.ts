export {
  clockOf,
  dayAt,
  dayNumber,
  dayOf,
  daysAfter,
  daysBetween,
  WEEKDAYS,
  weekdayOf,
} from './day';
export type { Day, Weekday } from './day';
