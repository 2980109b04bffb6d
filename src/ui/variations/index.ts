export { Variations } from './variations';
export type { FamilyDraft } from './use-family';
export type { VariationActions } from './variation-actions';
