export {
  clockOf,
  dayAt,
  dayNumber,
  dayOf,
  daysAfter,
  daysBetween,
  sayDay,
  WEEKDAYS,
  weekdayOf,
} from './day';
export type { Day } from './day';
