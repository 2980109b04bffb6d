export { Access } from './access';
export { PaperWeek } from './paper-week';
export { Record } from './record';
export { StudentList } from './student-list';
