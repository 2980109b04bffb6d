export { Record } from './record';
export { StudentList } from './student-list';
