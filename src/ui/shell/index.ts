export { FindButton } from './find-button';
export { Loading } from './loading';
export { Message } from './message';
export { SpeechSwitch } from './speech-switch';
export { TeacherWords } from './teacher-words';
export { ThemeSwitch } from './theme-switch';
export { TopBar } from './top-bar';
export type { PaletteEntry } from './palette';
