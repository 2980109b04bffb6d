import type { AdvanceRule, Counter, Counting, LadderState } from '../ladder';
import type { Pace } from './pace';

/** An exercise on its ladder, as planning sees it. */
export interface PlannedExercise {
  readonly id: string;
  readonly name: string;
  /** Places, among all works, of those whose ladders come first. */
  readonly after: readonly number[];
  /** Cannot be practised on a pad. */
  readonly needsKit: boolean;
  /** Seconds of one try by rung. At least one. */
  readonly trySeconds: readonly number[];
  /** Tempo by rung, in bpm. */
  readonly tempi: readonly number[];
  /** Whether a try is measured in minutes, so that a shorter one makes sense. */
  readonly cuts: boolean;
  readonly rule: AdvanceRule;
  /** Begins halfway up where what comes first went without a miss. */
  readonly headStart: boolean;
  /** The ladder waits for the teacher to move it. */
  readonly waits: boolean;
  /** Whether something can be taken away where it breaks at the lowest rung. */
  readonly varies: boolean;
  /** How heavy it is; what is lightest warms up. */
  readonly weight: number;
  readonly pace: Pace;
}

/** What its verdicts are counted by. */
export function countingOf(work: PlannedExercise): Counting {
  let counting = COUNTING.get(work);
  if (!counting) {
    const { rule, varies, waits, trySeconds } = work;
    counting = { ...rule, varies, waits, top: trySeconds.length - 1 };
    COUNTING.set(work, counting);
  }
  return counting;
}

/** Every future asks for the same. */
const COUNTING = new WeakMap<PlannedExercise, Counting>();

/** Where a work stands at the end of some day. */
export interface PlannedState extends Readonly<Counter> {
  /** A try so far was not clean. */
  readonly missed: boolean;
  /** What was done today already. */
  readonly today: { readonly tries: number; readonly seconds: number };
}

/** @param so what was done today, and whether a try so far was not clean */
export function workStateOf(
  state: LadderState,
  so: Pick<PlannedState, 'missed' | 'today'>,
): PlannedState {
  const {
    rungs: _u,
    bpm: _b,
    reason: _r,
    basis: _i,
    variation: _v,
    proposal: _p,
    ...counter
  } = state;
  return { ...counter, ...so };
}

/** Where a work stands while days are worked through. */
export interface LadderInPlan extends Counter {
  missed: boolean;
  triesToday: number;
  /** Share of the way to the next rung; only for what is expected, not for what is drawn. */
  share: number;
}

/** A fresh one for each future; written out field by field, because thousands of futures count in these. */
export function goingFrom(state: PlannedState): LadderInPlan {
  return {
    rung: state.rung,
    clean: state.clean,
    lately: state.lately,
    lostInARow: state.lostInARow,
    passed: state.passed,
    climbing: state.climbing,
    form: state.form,
    best: state.best,
    stuckDays: state.stuckDays,
    askedDays: state.askedDays,
    easy: state.easy,
    spotless: state.spotless,
    keepTimes: state.keepTimes,
    keepDue: state.keepDue,
    lastDay: state.lastDay,
    missed: state.missed,
    triesToday: state.today.tries,
    share: 0,
  };
}
