import { NEVER } from '../ladder';
import { BREAK_AFTER, BREAK_SECONDS, REST_SECONDS } from './data';
import type { Surface } from './schedule';
import type { Stretch } from './stretches';
import type { LadderInPlan, PlannedExercise } from './work';

/** Longest try of a warm-up, in seconds. */
export const WARM_UP_SECONDS = 3 * 60;

export type EntryKind = 'warm-up' | 'new' | 'review' | 'break';

/** One try, or a break, in its place in a day. */
export interface PlannedTry {
  /** Place among all works; -1 for a break. */
  readonly work: number;
  readonly kind: EntryKind;
  readonly on: Surface;
  /** Of the try itself, or of the break. */
  readonly playSeconds: number;
  /** With what lies around it. */
  readonly seconds: number;
  /** Minutes of a try that was cut to fit; null plays the whole dosage. */
  readonly cutTo: number | null;
}

export interface OpenStretch {
  readonly on: Surface;
  left: number;
  readonly breaks: number;
  readonly warm: PlannedTry[];
  readonly main: PlannedTry[];
  readonly after: PlannedTry[];
}

/** A day while it is filled. */
export interface DayPlan {
  readonly works: readonly PlannedExercise[];
  readonly states: readonly LadderInPlan[];
  readonly day: number;
  readonly free: readonly OpenStretch[];
  /** Works that may be played on: not passed, and nothing comes first. What was begun stands before what
   * was not, the longest untouched first. */
  readonly open: readonly number[];
  /** Passed works that are due and were not played today. */
  readonly due: readonly number[];
  /** The lightest passed work that rests, when nothing was played today; -1 for none. */
  readonly rests: number;
  /** Seconds of the shortest try among the open ones. */
  readonly least: number;
  /** By work: tries of today, those that were done before planning included; -1 when not looked at. */
  readonly taken: number[];
  /** Works that others wait for; null while nobody has asked. */
  leads: Uint8Array | null;
}

/** One look at all works; this runs for every day of every future.
 * @param urgentFirst what is stuck, then what was not clean when it was last played, before what went well */
export function survey(
  works: readonly PlannedExercise[],
  states: readonly LadderInPlan[],
  day: number,
  free: readonly OpenStretch[],
  urgentFirst = false,
): DayPlan {
  const begunOnes: number[] = [];
  const fresh: number[] = [];
  const due: number[] = [];
  let rests = -1;
  let least = Infinity;
  let lightest = Infinity;
  let begun = false;
  for (let index = 0; index < works.length; index += 1) {
    const work = works[index];
    const state = states[index];
    if (!work || !state) continue;
    if (state.triesToday > 0) begun = true;
    if (!state.passed) {
      if (!isFree(work, states)) continue;
      (state.lastDay === NEVER ? fresh : begunOnes).push(index);
      least = Math.min(least, secondsOf(work, state));
    } else if (state.triesToday > 0) continue;
    else if (state.keepDue <= day) due.push(index);
    else if (work.weight < lightest) [rests, lightest] = [index, work.weight];
  }
  begunOnes.sort((a, b) => (states[a]?.lastDay ?? 0) - (states[b]?.lastDay ?? 0));
  if (urgentFirst)
    begunOnes.sort((a, b) => wellOf(works[a], states[a]) - wellOf(works[b], states[b]));
  const open = begunOnes.concat(fresh);
  const taken = works.map(() => -1);
  if (begun) rests = -1;
  return { works, states, day, free, open, due, rests, least, taken, leads: null };
}

/** How well it goes: 0 is stuck, or played simpler for now; 1 was not clean last time; 2 is on its way. */
function wellOf(work: PlannedExercise | undefined, state: LadderInPlan | undefined): 0 | 1 | 2 {
  if (!work || !state) return 2;
  if (state.form === 'simpler' || state.stuckDays >= work.rule.plateau) return 0;
  const wasClean = work.rule.of === undefined ? state.clean > 0 : (state.lately & 1) === 1;
  return wasClean || state.spotless ? 2 : 1;
}

function isFree({ after }: PlannedExercise, states: readonly LadderInPlan[]): boolean {
  for (let at = 0; at < after.length; at += 1) {
    if (states[after[at] ?? -1]?.passed === false) return false;
  }
  return true;
}

/** Time for breaks is set aside first. */
export function openStretchOf({ on, seconds }: Stretch): OpenStretch {
  const breaks = Math.floor(seconds / (BREAK_AFTER + BREAK_SECONDS));
  return { on, left: seconds - breaks * BREAK_SECONDS, breaks, warm: [], main: [], after: [] };
}

export function secondsOf(work: PlannedExercise, state: LadderInPlan): number {
  return work.trySeconds[Math.min(state.rung, work.trySeconds.length - 1)] ?? 0;
}

/** Half a minute is the smallest part of a dosage. */
const CUT_STEP = 30;

/** Puts a try where it fits: on the pad where that is possible, so that the kit is kept for what needs
 * it. The first one, and the last, is cut where it would not fit and half of it or more does.
 * @param most seconds of the try itself  @param last whether nothing comes after it */
export function place(
  plan: DayPlan,
  index: number,
  kind: Exclude<EntryKind, 'break'>,
  most = Infinity,
  last = false,
): PlannedTry | null {
  const { free, works, states } = plan;
  const work = works[index];
  const state = states[index];
  if (!work || !state) return null;
  const whole = secondsOf(work, state);
  const wanted = Math.min(whole, most);
  let best: OpenStretch | null = null;
  let roomiest: OpenStretch | null = null;
  for (const stretch of free) {
    if (work.needsKit && stretch.on === 'pad') continue;
    if ((last || isEmpty(stretch)) && (!roomiest || isRoomier(stretch, roomiest)))
      roomiest = stretch;
    if (stretch.left < wanted) continue;
    if (!best || (stretch.on === 'pad' && best.on === 'kit')) best = stretch;
  }
  const into = best ?? (work.cuts ? roomiest : null);
  if (!into) return null;
  const playSeconds =
    into.left >= wanted && wanted === whole
      ? whole
      : Math.floor(Math.min(into.left, wanted) / CUT_STEP) * CUT_STEP;
  const least = kind === 'warm-up' ? Math.min(whole / 2, WARM_UP_SECONDS / 2) : whole / 2;
  if (playSeconds < whole && (!work.cuts || playSeconds < least || playSeconds === 0)) return null;
  const seconds = Math.min(into.left, playSeconds + REST_SECONDS);
  into.left -= seconds;
  const cutTo = playSeconds < whole ? playSeconds / 60 : null;
  const entry: PlannedTry = { work: index, kind, on: into.on, playSeconds, seconds, cutTo };
  (kind === 'warm-up' ? into.warm : kind === 'review' ? into.after : into.main).push(entry);
  return entry;
}

/** The kit is kept for what needs it. */
function isRoomier(stretch: OpenStretch, than: OpenStretch): boolean {
  if (stretch.left !== than.left) return stretch.left > than.left;
  return stretch.on === 'pad' && than.on === 'kit';
}

function isEmpty({ warm, main, after }: OpenStretch): boolean {
  return warm.length + main.length + after.length === 0;
}

/** Whether a whole try of anything that is open would still fit. */
export function hasRoom({ free, least }: DayPlan): boolean {
  for (let at = 0; at < free.length; at += 1) {
    const stretch = free[at];
    if (stretch && (stretch.left >= least || isEmpty(stretch))) return true;
  }
  return false;
}
