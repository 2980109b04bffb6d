export { readBundle, writeBundle } from './bundle';
export { writeCalendar } from './calendar';
export { writeCsv } from './csv';
export { FORMATS } from './registry';
export type { Bundle, Bundled } from './bundle';
export type { FormatId } from './registry';
export type { Piece } from './piece';
