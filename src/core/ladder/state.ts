import type { Day } from '../calendar';
import type { Bpm } from '../time';
import type { Course } from './course';
import type { ExerciseFacts } from './facts';
import { rungsOf, type Rung } from './ladder';
import type { Variation } from './variation';

/** Why the ladder stands where it stands. */
export type RungReason =
  | { readonly kind: 'start' }
  | { readonly kind: 'climbing' }
  | { readonly kind: 'found'; readonly shaky: string | null }
  | { readonly kind: 'counting'; readonly clean: number }
  | { readonly kind: 'held'; readonly after: 'shaky' | 'lost' }
  | { readonly kind: 'raised' | 'lowered'; readonly from: string }
  | { readonly kind: 'varied'; readonly because: string }
  | { readonly kind: 'whole' }
  | { readonly kind: 'moved' }
  | { readonly kind: 'declined' }
  | { readonly kind: 'asks' }
  | { readonly kind: 'passed' }
  | { readonly kind: 'kept' }
  | { readonly kind: 'slipped' };

/** What Mivvel would do next and leaves to the teacher, with the entries it rests on. */
export type Proposal = {
  readonly basis: readonly string[];
  readonly because: string;
} & (
  | { readonly kind: 'advance' | 'lower'; readonly to: string }
  | { readonly kind: 'restore' }
  | { readonly kind: 'simplify' | 'plateau' | 'twist'; readonly variation: Variation }
);

export type ProposalKind = Proposal['kind'];

/** Passed work comes back after so many days, each time after more; common practice, no source. */
export const KEEP_DAYS = [2, 4, 8, 16, 32] as const;

/** So many rungs in a row won with clean tries alone feel easy; common practice, no source. */
export const EASY_RUNGS = 3;

/** A ladder after some tries and decisions. */
export interface LadderState {
  readonly rungs: readonly Rung[];
  /** Place of the next rung to play, from 0. */
  readonly rung: number;
  readonly bpm: Bpm;
  /** Clean tries on this rung since the last one that was not. */
  readonly clean: number;
  readonly lostInARow: number;
  readonly reason: RungReason;
  /** The tries and decisions that the reason rests on. */
  readonly basis: readonly string[];
  /** The target has been played clean as often as the rule asks. */
  readonly passed: boolean;
  /** Still looking for the start. */
  readonly climbing: boolean;
  /** What is played in place of the whole. */
  readonly variation: Variation | null;
  readonly proposal: Proposal | null;
  /** Rungs in a row that were won with clean tries alone. */
  readonly easy: number;
  /** Whether all tries on this rung were clean. */
  readonly spotless: boolean;
  /** The best rung so far, practice days since it was reached (that day not counted), and how many
   * there were when a plateau was last asked about. */
  readonly gain: { readonly rung: number; readonly days: number; readonly asked: number };
  readonly lastDay: Day | null;
  /** Passed work: how often it came back well, and when it is due again. */
  readonly keep: { readonly times: number; readonly due: Day } | null;
}

/** What a ladder is followed with. */
export interface Following {
  readonly course: Course;
  readonly facts: ExerciseFacts;
  /** Tempo from which this student starts; the ladder's own start when left out. */
  readonly startBpm?: number | undefined;
}

/** Where a ladder without tries stands. */
export function startLadder({
  course,
  startBpm,
}: Pick<Following, 'course' | 'startBpm'>): LadderState {
  const rungs = rungsOf(course.ladder);
  const rung = startRung(rungs, startBpm);
  return {
    rungs,
    rung,
    bpm: rungAt(rungs, rung).bpm,
    clean: 0,
    lostInARow: 0,
    reason: { kind: course.climb ? 'climbing' : 'start' },
    basis: [],
    passed: false,
    climbing: course.climb,
    variation: null,
    proposal: null,
    easy: 0,
    spotless: true,
    gain: { rung, days: 0, asked: 0 },
    lastDay: null,
    keep: null,
  };
}

/** The rung whose tempo lies nearest to the one a student starts from, the first of equals. */
function startRung(rungs: readonly Rung[], startBpm: number | undefined): number {
  if (startBpm === undefined) return 0;
  const off = rungs.map(({ bpm }) => Math.abs(bpm - startBpm));
  return off.indexOf(Math.min(...off));
}

export function rungAt(rungs: readonly Rung[], index: number): Rung {
  const rung = rungs[index];
  if (!rung) throw new RangeError(`no rung ${index} of ${rungs.length}`);
  return rung;
}
