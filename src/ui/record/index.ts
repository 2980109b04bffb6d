export { StudentRecord } from './student-record';
