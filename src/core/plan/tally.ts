/** Verdicts in one situation, or as many as they weigh. */
export interface Tally {
  readonly clean: number;
  readonly other: number;
}

/** The share of clean tries to be expected, 0 to 1. */
export function cleanShare({ clean, other }: Tally): number {
  return clean / (clean + other);
}
