import papaparse from 'papaparse';

/** Writes rows as RFC 4180 has it: a head with the names of the columns, lines that end in CR LF, quotes where they
 * are needed. A text that a spreadsheet would take for a formula begins with an apostrophe. */
export function writeCsv<Column extends string>(
  columns: readonly Column[],
  rows: readonly Readonly<Record<Column, string | number | null>>[],
): string {
  const data = rows.map((row) => columns.map((column) => row[column] ?? ''));
  const fields = [...columns];
  const text = papaparse.unparse({ fields, data }, { newline: '\r\n', escapeFormulae: true });
  return text.endsWith('\r\n') ? text : `${text}\r\n`;
}
