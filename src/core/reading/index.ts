export { barNumbers, barsOfText, partOfPage, textOfBars } from './bars';
export { generateLine, makesSense } from './generate';
export { gradeLine } from './grade';
export { gapsAround, lineTicks, onsets } from './line';
export { lineTextSchema, MOST_LETTERS } from './line-schema';
export { formatLine, parseLine } from './shorthand';
export { soundingTicks } from './value';
export { restsOf, writeLine, writeMixedLine } from './write-line';
export type { LineSign, Onset, ReadingLine } from './line';
