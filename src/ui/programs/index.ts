export { ClassPage } from './class-page';
export { ProgramEditor } from './program-editor';
export { ProgramList } from './program-list';
export type { CopyStarter } from './starter-list';
