export { PathList } from './path-list';
export { RunBar } from './run-bar';
export { Variations } from './variations';
export type { PathCommand } from './path-list';
export type { RowShown } from './path-row';
export type { FamilyDraft } from './family-history';
export type { VariationActions } from './variation-actions';
