import papaparse from 'papaparse';
import { fail, ok, type Result } from '../../issue';
import { textOf } from '../text-of';

const MOST_BYTES = 4_000_000;
const MOST_ROWS = 20_000;

/** A row of a table, by the names of its columns. `line` counts from 1, the head included. */
export interface CsvRow<Column extends string> {
  readonly line: number;
  readonly of: Readonly<Partial<Record<Column, string>>>;
}

/** Reads a table with a head: separated by commas, semicolons or tabs, whichever it has, in any of the usual encodings.
 * Names of columns count alike in capitals; others than those asked for are left.
 * @param needed columns without which nothing can be made of it
 * @returns issues `file-large`, `csv-quotes` with the line where a quote is not closed, `csv-columns` with those that are
 * missing, `csv-rows` for too many */
export function readCsv<Column extends string>(
  bytes: Uint8Array,
  columns: readonly Column[],
  needed: readonly Column[],
): Result<readonly CsvRow<Column>[]> {
  if (bytes.length > MOST_BYTES)
    return fail({ code: 'file-large', path: [], most: MOST_BYTES / 1e6 });
  const text = textOf(bytes);
  if (!text.ok) return text;
  const table = text.value.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(table);
  const { data, errors } = papaparse.parse<string[]>(table, { delimiter });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) return fail({ code: 'csv-quotes', path: [], line: (quotes.row ?? 0) + 1 });
  const [head = [], ...rows] = data;
  if (rows.length > MOST_ROWS) return fail({ code: 'csv-rows', path: [], most: MOST_ROWS });
  const names = head.map((one) => one.trim().toLowerCase());
  const missing = needed.filter((one) => !names.includes(one));
  if (missing.length > 0) {
    return fail({ code: 'csv-columns', path: [], missing, found: head.map((one) => one.trim()) });
  }
  const known = columns.flatMap((one) => {
    const at = names.indexOf(one);
    return at < 0 ? [] : [{ one, at }];
  });
  return ok(
    rows.flatMap((row, index): readonly CsvRow<Column>[] => {
      if (row.every((one) => one.trim() === '')) return [];
      const cells = known.map(({ one, at }) => [one, plain(row[at] ?? '')] as const);
      const of = Object.fromEntries(cells) as Partial<Record<Column, string>>;
      return [{ line: index + 2, of }];
    }),
  );
}

/** What separates the names of the columns; a comma where there is but one. */
function delimiterOf(table: string): string {
  const [head = ''] = table.replace(/"[^"]*"/g, '').split(/\r?\n/, 1);
  const found = [',', ';', '\t', '|'].map((one) => ({ one, count: head.split(one).length }));
  return found.reduce((most, next) => (next.count > most.count ? next : most)).one;
}

/** A cell without the apostrophe that keeps a spreadsheet from taking it for a formula. */
function plain(cell: string): string {
  return cell.replace(/^'(?=[=+\-@\t\r])/, '').trim();
}
