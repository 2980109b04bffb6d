import type { Day } from '../calendar';
import type { LadderState } from '../ladder';
import type { Pace } from './pace';

/** An exercise on its ladder, as planning sees it. */
export interface Work {
  readonly id: string;
  readonly name: string;
  /** Places, among all works, of those whose ladders come first. */
  readonly after: readonly number[];
  /** Cannot be practised on a pad. */
  readonly needsKit: boolean;
  /** Seconds of one try by rung. At least one. */
  readonly trySeconds: readonly number[];
  /** Whether a try is measured in minutes, so that a shorter one makes sense. */
  readonly cuts: boolean;
  /** So many clean lead on; so many lost in a row lead back. */
  readonly clean: number;
  readonly lost: number;
  /** How heavy it is; what is lightest warms up. */
  readonly weight: number;
  readonly pace: Pace;
}

/** Where a work stands at the end of some day. */
export interface WorkState {
  readonly rung: number;
  readonly clean: number;
  readonly lostInARow: number;
  readonly passed: boolean;
  /** The highest rung so far: from there on the ground is new. */
  readonly best: number;
  readonly keep: { readonly times: number; readonly due: Day } | null;
  readonly lastDay: Day | null;
  /** What was done today already. */
  readonly today: { readonly tries: number; readonly seconds: number };
}

/** @param today what was done today */
export function workStateOf(state: LadderState, today: WorkState['today']): WorkState {
  const { rung, clean, lostInARow, passed, keep, lastDay, gain } = state;
  return { rung, clean, lostInARow, passed, keep, lastDay, best: gain.rung, today };
}

/** Where a work stands while days are worked through; days are counted from 1970. */
export interface Going {
  rung: number;
  clean: number;
  lostInARow: number;
  passed: boolean;
  best: number;
  keepTimes: number;
  keepDue: number;
  lastDay: number;
  triesToday: number;
  /** Share of the way to the next rung; only for what is expected, not for what is drawn. */
  share: number;
}

/** Before any day. */
export const NEVER = -1;

const DAY_MS = 86_400_000;

/** @example dayNumber('1970-01-02') // => 1 */
export function dayNumber(day: Day): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_MS);
}

export function goingFrom(state: WorkState): Going {
  return {
    rung: state.rung,
    clean: state.clean,
    lostInARow: state.lostInARow,
    passed: state.passed,
    best: state.best,
    keepTimes: state.keep?.times ?? 0,
    keepDue: state.keep ? dayNumber(state.keep.due) : NEVER,
    lastDay: state.lastDay === null ? NEVER : dayNumber(state.lastDay),
    triesToday: state.today.tries,
    share: 0,
  };
}
