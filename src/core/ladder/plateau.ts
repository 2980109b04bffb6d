import type { Bpm } from '../time';
import type { Ladder } from './ladder';
import { afterTry, startLadder, type Try } from './replay';
import type { AdvanceRule } from './verdict';

/** So many practice days without gain are a plateau; common practice, no source. */
export const PLATEAU_DAYS = 4;

export interface Plateau {
  /** The highest rung that was reached. */
  readonly bpm: Bpm;
  /** Days with tries since it was reached, that day not counted. */
  readonly days: number;
}

/** Practice days since the ladder last gained a rung; null once the target is passed, or without
 * tries.
 * @param log oldest first, each with its calendar day
 * @example 60 reached on the first day, then four more days at 60 // => { bpm: 60, days: 4 } */
export function plateauOf(
  ladder: Ladder,
  rule: AdvanceRule,
  log: readonly (Try & { readonly day: string })[],
): Plateau | null {
  let state = startLadder(ladder);
  let best = { rung: state.rung, bpm: state.bpm, day: log[0]?.day ?? '' };
  const days = new Set<string>();
  for (const entry of log) {
    state = afterTry(state, entry, rule);
    days.add(entry.day);
    if (state.rung > best.rung) best = { rung: state.rung, bpm: state.bpm, day: entry.day };
  }
  if (log.length === 0 || state.passed) return null;
  return { bpm: best.bpm, days: [...days].filter((day) => day > best.day).length };
}
