export { FORMATS } from './registry';
export type { FormatId } from './registry';
export type { Piece } from './piece';
