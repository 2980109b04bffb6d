export { notate } from './notate';
export type { WrittenBar, WrittenSign } from './notate';
