export { addressKey } from './address-key';
export { BenchRoom } from './bench-room';
export type { BenchActions } from './bench';
export type { Draft } from './draft';
