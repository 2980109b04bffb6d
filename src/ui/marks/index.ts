export { systemsOf } from './columns';
export { Lanes, lanesHeight } from './lanes';
export { LimbSign } from './limb-sign';
export { Mark } from './mark';
export { ScoreSheet } from './score-sheet';
export { Staff } from './staff';
export { useWidth } from './use-width';
export type { BarBox, System } from './columns';
export type { RowKind, Subscribe } from './lanes';
