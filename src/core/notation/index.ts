export { layOutLine } from './lay-out-line';
export { notate } from './notate';
export type { BarLayout } from './lay-out-line';
export type { WrittenSign } from './notate';
