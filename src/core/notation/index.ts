export { notate } from './notate';
export type { WrittenSign } from './notate';
