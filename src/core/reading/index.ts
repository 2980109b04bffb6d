export { generateLine, makesSense } from './generate';
export { gradeLine } from './grade';
export { gapsAround, lineTicks, onsets } from './line';
export { formatLine, parseLine } from './shorthand';
export { soundingTicks, writtenTicks } from './value';
export type { LineSign, Onset, ReadingLine } from './line';
export type { NoteValue } from './value';
export type { LineWish } from './generate';
