export { Bench } from './bench';
export type { BenchActions } from './bench';
export type { Draft } from './draft';
