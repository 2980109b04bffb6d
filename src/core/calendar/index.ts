export {
  clockOf,
  dayAt,
  dayNumber,
  dayOf,
  daysAfter,
  daysBetween,
  instantOf,
  WEEKDAYS,
  weekdayOf,
} from './day';
export { daySchema } from './schema';
export type { Day, Weekday } from './day';
