export { generateLine, makesSense } from './generate';
export { gradeLine } from './grade';
export { gapsAround, lineTextSchema, lineTicks, onsets } from './line';
export { formatLine, parseLine } from './shorthand';
export { writeLine } from './write-line';
export type { Onset, ReadingLine } from './line';
