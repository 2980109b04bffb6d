export { fittedOf, playedOn } from './fitted';
export { ItemProgress, NOTHING_PLAYED, playedMore } from './item-progress';
export { onStand } from './on-stand';
export type { CurvePoint } from './curve';
export type { Fitted } from './fitted';
export type { ItemDay, ItemSums, PlayedOn, SufferedCount } from './item-progress';
export type { CueLine, OnStand } from './on-stand';
