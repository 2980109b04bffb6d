export { Start } from './start';
export type { Door } from './start';
