export { Bench } from './bench';
export { RulesPhrase } from './rules-phrase';
export { EditableSheet } from './edit/editable-sheet';
export type { BenchActions } from './use-desk';
export type { Draft } from './draft';
