export { ProgramEditor } from './program-editor';
export { ProgramList } from './program-list';
export type { ProgramActions } from './program-editor';
