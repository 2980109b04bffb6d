export { readCsv } from './read-csv';
export { writeCsv } from './write-csv';
export type { CsvRow } from './read-csv';
