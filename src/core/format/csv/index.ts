export { readCsv } from './read-csv';
export { writeCsv } from './write-csv';
