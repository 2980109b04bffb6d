export { Bench } from './bench';
export type { BenchActions } from './use-desk';
export type { Draft } from './draft';
