export { fittedOf, playedOn } from './fitted';
export { ItemProgress } from './item-progress';
export { onStand } from './on-stand';
export type { CurvePoint } from './curve';
export type { Fitted } from './fitted';
export type { ItemDay, ItemSums, SufferedCount } from './item-progress';
export type { CueLine, OnStand } from './on-stand';
