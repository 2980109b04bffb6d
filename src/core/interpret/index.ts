export { cellAlternates, firstAlternates } from './cell-alternates';
export { LIMB_POLICIES, settleClaims } from './claims';
export { USUAL_CELLS } from './data';
export { cellFor, cellSetSchema, cellsOf } from './phrase-cells';
export { claimsOf, interpret, interpretationSchema, readsAs } from './registry';
export { ruleTableSchema } from './rules';
export type { InterpretationKind, InterpretationOptions, OptionsOf } from './registry';
export type { Rule } from './rules';
export type { Reading } from './types';
