export { Loading } from './loading';
export { Message } from './message';
export { ThemeSwitch } from './theme-switch';
export { TopBar } from './top-bar';
export type { PaletteEntry } from './palette';
