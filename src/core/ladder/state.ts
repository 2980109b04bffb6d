import { dayAt, type Day } from '../calendar';
import type { Variation } from '../log';
import type { Bpm } from '../time';
import type { Course } from './course-schema';
import type { ExerciseFacts } from './facts';
import { NEVER, startCounter, type Counter } from './kernel';
import { rungsOf, type Rung } from './ladder';
import type { RungFacts } from './rung-key';
import type { SimplerBecause } from './simpler';

/** Why the ladder stands where it stands. */
export type RungReason =
  | { readonly kind: 'start' }
  | { readonly kind: 'climbing' }
  | { readonly kind: 'found'; readonly shaky: RungFacts | null }
  | { readonly kind: 'counting'; readonly clean: number }
  | { readonly kind: 'held'; readonly after: 'shaky' | 'lost' }
  | { readonly kind: 'raised' | 'lowered'; readonly from: RungFacts }
  | { readonly kind: 'varied'; readonly because: Because }
  | { readonly kind: 'whole' }
  | { readonly kind: 'moved' }
  | { readonly kind: 'declined' }
  | { readonly kind: 'asks' }
  | { readonly kind: 'passed' }
  /** Passed, and played again; `slipping` after a try that was lost. */
  | { readonly kind: 'kept'; readonly slipping: boolean }
  | { readonly kind: 'slipped' }
  /** Halfway up, for what comes before went without a miss. */
  | { readonly kind: 'head-start' }
  /** So many days without it. */
  | { readonly kind: 'away'; readonly days: number; readonly from: RungFacts };

/** The fact behind a proposal or a variation. */
export type Because =
  /** So many clean; `without` what was taken away. */
  | { readonly code: 'clean'; readonly times: number; readonly without: boolean }
  | { readonly code: 'target-spotless' }
  | { readonly code: 'rungs-spotless'; readonly rungs: number }
  | { readonly code: 'lost'; readonly times: number }
  | { readonly code: 'lost-at-bottom'; readonly times: number; readonly fact: SimplerBecause }
  | { readonly code: 'no-gain'; readonly days: number; readonly fact: SimplerBecause }
  | { readonly code: 'teacher' };

/** What Mivvel would do next and leaves to the teacher, with the entries it rests on. */
export type Proposal = {
  readonly basis: readonly string[];
  readonly because: Because;
} & (
  | { readonly kind: 'advance' | 'lower'; readonly to: RungFacts }
  | { readonly kind: 'restore' }
  | { readonly kind: 'simplify' | 'plateau' | 'twist'; readonly variation: Variation }
);

/** So many rungs in a row won with clean tries alone feel easy; common practice, no source. */
export const EASY_RUNGS = 3;

/** A ladder after some tries and decisions: the counter, and what is said around it. */
export interface LadderState extends Readonly<Counter> {
  readonly rungs: readonly Rung[];
  readonly bpm: Bpm;
  readonly reason: RungReason;
  /** The tries and decisions that the reason rests on. */
  readonly basis: readonly string[];
  /** What is played in place of the whole. */
  readonly variation: Variation | null;
  readonly proposal: Proposal | null;
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
    ...startCounter(rung, course.climb),
    rungs,
    bpm: rungAt(rungs, rung).bpm,
    reason: { kind: course.climb ? 'climbing' : 'start' },
    basis: [],
    variation: null,
    proposal: null,
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

/** The date on which passed work is due again; null while it is not passed. */
export function dueDay({ keepDue }: Pick<Counter, 'keepDue'>): Day | null {
  return keepDue === NEVER ? null : dayAt(keepDue);
}
