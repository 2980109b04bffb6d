export { writeCalendar } from './write-calendar';
