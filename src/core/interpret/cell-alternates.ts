/** The start that all cells from length 4 on share. */
const ROOT = 'RLLK';

/** Cells for a gap by rule: RLLK continued by L or K with no run over two.
 * Lengths 4…10 give 1, 2, 3, 5, 8, 13, 21 cells (common practice; the counts are Fibonacci's).
 * @param gap length in slots  @param exit keep only cells whose last stroke is a left
 * @returns in order K before L, so that the usual cell tends to come first; none below 4
 * @example cellAlternates(6) // => ['RLLKKL', 'RLLKLK', 'RLLKLL'] */
export function cellAlternates(gap: number, exit: 'any' | 'left' = 'any'): readonly string[] {
  if (gap < ROOT.length) return [];
  let found = [ROOT];
  while ((found[0]?.length ?? gap) < gap) {
    found = found.flatMap((cell) =>
      ['K', 'L'].filter((next) => !cell.endsWith(next + next)).map((next) => cell + next),
    );
  }
  return exit === 'left' ? found.filter((cell) => cell.endsWith('L')) : found;
}

/** The first of the cells by rule, also for gaps that have very many.
 * @example firstAlternates(6, 2) // => ['RLLKKL', 'RLLKLK'] */
export function firstAlternates(gap: number, most: number): readonly string[] {
  const found: string[] = [];
  const grow = (cell: string) => {
    if (found.length >= most) return;
    if (cell.length === gap) found.push(cell);
    else for (const next of ['K', 'L']) if (!cell.endsWith(next + next)) grow(cell + next);
  };
  if (gap >= ROOT.length) grow(ROOT);
  return found;
}
