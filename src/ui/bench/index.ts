export { Bench } from './bench';
export type { Draft } from './draft';
