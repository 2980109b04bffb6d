import { cpus } from 'node:os';

export interface Row {
  readonly what: string;
  readonly measured: string;
  /** What it is compared with, and how it compares. */
  readonly against: string;
}

/** Prints all rows as one table, with the machine they were measured on. */
export function closeReport(rows: readonly Row[]): void {
  const [cpu] = cpus();
  console.log(
    `\n${cpu?.model.trim() ?? 'unknown'}, ${cpus().length} cores, Node ${process.version}`,
  );
  console.table(rows);
}

/** Milliseconds that something takes. */
export function timed(run: () => void): number {
  const from = performance.now();
  run();
  return performance.now() - from;
}

/** The middle one of several measurements. */
export function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;
}

/** What 95 of 100 stay below. */
export function p95(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? NaN;
}

/** Milliseconds as they are printed. */
export function ms(value: number): string {
  return `${Math.round(value)} ms`;
}
