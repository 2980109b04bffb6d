/** One beam of a group of notes, from one to another of them. */
export interface BeamRun {
  /** Places in the group, `to` included. */
  readonly from: number;
  readonly to: number;
  /** 0 lies at the ends of the stems, the next ones nearer to the heads. */
  readonly level: number;
  /** A beam of one note alone points to its neighbour. */
  readonly stub: 'on' | 'back' | null;
}

/** The beams of a group: each goes over neighbours that have it; one alone points to its neighbour.
 * @param counts beams of each note in order; an 8th has one
 * @example dotted 8th and 16th: beamRuns([1, 2]) // => one over both, and a stub at the second that points back */
export function beamRuns(counts: readonly number[]): readonly BeamRun[] {
  const runs: BeamRun[] = [];
  for (let level = 0; level < Math.max(...counts); level += 1) {
    let from = 0;
    while (from < counts.length) {
      if ((counts[from] ?? 0) <= level) {
        from += 1;
        continue;
      }
      let to = from;
      while ((counts[to + 1] ?? 0) > level) to += 1;
      const stub = to > from ? null : from > 0 ? 'back' : 'on';
      runs.push({ from, to, level, stub });
      from = to + 1;
    }
  }
  return runs;
}

/** Beams or flags of a value. @param base 2 half, 4 quarter, 8, 16 … @example beamsOfBase(16) // => 2 */
export function beamsOfBase(base: number): number {
  return base < 8 ? 0 : Math.log2(base) - 2;
}
