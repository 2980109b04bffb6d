import { BREAK_AFTER, BREAK_SECONDS, ORDERS, REST_SECONDS } from './data';
import {
  hasRoom,
  openStretchOf,
  place,
  secondsOf,
  survey,
  WARM_UP_SECONDS,
  type DayPlan,
  type OpenStretch,
  type PlannedTry,
} from './day-plan';
import type { Stretch } from './stretches';
import type { LadderInPlan, PlannedExercise } from './work';

/** A day shorter than this needs its time for what is new; seconds, common practice, no source. */
const WARM_UP_FROM = 15 * 60;

/** Passed work takes at most this share of a day on which there is other work. */
const REVIEW_SHARE = 1 / 3;

/** Exercises that take turns when they are interleaved. */
const TURNS = 3;

/** Seconds that one exercise is played before another comes; common practice, no source. */
const MOST_OF_ONE = 10 * 60;

/** Where nothing else is open, an exercise comes round again; no more often on one day than this. */
const ROUNDS = 2;

/** Fills a day: what warms up, then what is new, then what keeps passed work alive. Nothing exceeds its
 * stretch, nothing comes before what it waits for, nothing that needs the kit is put on the pad, and
 * the same states always give the same day.
 * @param states by work, as the day begins  @param day as `dayNumber` counts  @param urgentFirst in the order of what
 * matters: stuck, not clean last time, then the others
 * @returns entries by stretch, in order, breaks among them */
export function fillDay(
  works: readonly PlannedExercise[],
  states: readonly LadderInPlan[],
  day: number,
  stretches: readonly Stretch[],
  order: (typeof ORDERS)[number],
  urgentFirst = false,
): readonly PlannedTry[] {
  const free = stretches.map(openStretchOf);
  const all = free.reduce((sum, stretch) => sum + stretch.left, 0);
  if (all === 0) return [];
  const plan = survey(works, states, day, free, urgentFirst);
  const { open, due } = plan;
  if (all >= WARM_UP_FROM && open.length + due.length > 0) warmUp(plan);
  review(plan, open.length > 0 ? all * REVIEW_SHARE : all);
  for (let group = nextGroup(plan, order); group.length > 0; group = nextGroup(plan, order)) {
    playRound(plan, group, 1);
  }
  fillUp(plan, 1);
  for (let round = 2; round <= ROUNDS; round += 1) {
    if (hasRoom(plan)) playRound(plan, open, round);
    fillUp(plan, round);
  }
  const entries = (stretch: OpenStretch) =>
    entriesOf(
      stretch,
      order === 'blocked' && !urgentFirst ? inBlocks(plan, stretch) : stretch.main,
    );
  const [only] = free;
  return only && free.length === 1 ? entries(only) : free.flatMap(entries);
}

/** What is passed and rests is played once, the lightest of it. */
function warmUp(plan: DayPlan): void {
  if (plan.rests >= 0) place(plan, plan.rests, 'warm-up', WARM_UP_SECONDS);
}

/** Passed work that is due, the longest overdue first, each once. @param seconds at most */
function review(plan: DayPlan, seconds: number): void {
  const { states, works } = plan;
  if (plan.due.length === 0) return;
  const due = [...plan.due].sort(
    (a, b) => (states[a]?.keepDue ?? 0) - (states[b]?.keepDue ?? 0) || a - b,
  );
  let left = seconds;
  for (const index of due) {
    const work = works[index];
    const state = states[index];
    if (!work || !state) continue;
    const takes = secondsOf(work, state) + REST_SECONDS;
    if (takes > left && left < seconds) continue;
    const entry = place(plan, index, 'review');
    if (entry) left -= entry.seconds;
  }
}

/** The exercises that are played next: what was begun goes on, the longest untouched first; only then
 * something new begins. Empty when nothing is left, or nothing fits. */
function nextGroup(plan: DayPlan, order: (typeof ORDERS)[number]): readonly number[] {
  const { states, taken } = plan;
  const group: number[] = [];
  const size = order === 'blocked' ? 1 : TURNS;
  while (group.length < size && hasRoom(plan)) {
    const next = nextOpen(plan);
    if (next < 0) break;
    const before = states[next]?.triesToday ?? 0;
    taken[next] = before;
    if (before < triesOf(plan, next)) {
      if (place(plan, next, 'new') === null) continue;
      taken[next] = before + 1;
    }
    group.push(next);
  }
  return group;
}

function nextOpen({ open, taken }: DayPlan): number {
  for (let at = 0; at < open.length; at += 1) {
    const index = open[at] ?? -1;
    if (taken[index] === -1) return index;
  }
  return -1;
}

/** Tries of one round: what fits into its minutes, and one where none does. */
function triesOf({ works, states }: DayPlan, index: number): number {
  const work = works[index];
  const state = states[index];
  if (!work || !state) return 0;
  return Math.max(1, Math.floor(MOST_OF_ONE / secondsOf(work, state)));
}

/** Tries that an exercise may have had after so many rounds. Where others wait for it, it comes round again when it is
 * asked for again: by then it may be passed, and they are open. */
function triesAfter(plan: DayPlan, index: number, rounds: number): number {
  const { states } = plan;
  const tries = triesOf(plan, index);
  if (rounds === 1 || !leadsOf(plan)[index]) return rounds * tries;
  const had = Math.floor((states[index]?.triesToday ?? 0) / tries);
  return tries * Math.min(rounds, 1 + had);
}

/** Works that others wait for; looked up once a day, and only where a day has room for another round. */
function leadsOf(plan: DayPlan): Uint8Array {
  if (plan.leads) return plan.leads;
  const leads = (plan.leads = new Uint8Array(plan.works.length));
  plan.works.forEach(({ after }, at) => {
    if (!plan.states[at]?.passed) for (const first of after) leads[first] = 1;
  });
  return leads;
}

/** Takes turns until each has had its tries, or nothing fits any more. @param rounds that each has had then */
function playRound(plan: DayPlan, group: readonly number[], rounds: number): void {
  const { taken } = plan;
  const most = group.map((index) => triesAfter(plan, index, rounds));
  for (let goesOn = true; goesOn && hasRoom(plan);) {
    goesOn = false;
    for (let nth = 0; nth < group.length; nth += 1) {
      const index = group[nth] ?? -1;
      const tries = Math.max(0, taken[index] ?? 0);
      if (tries >= (most[nth] ?? 0) || place(plan, index, 'new') === null) continue;
      taken[index] = tries + 1;
      goesOn = true;
    }
  }
}

/** Where no whole try fits any more, part of one may, of what is not through with its rounds. */
function fillUp(plan: DayPlan, rounds: number): void {
  const { open, taken, free, least } = plan;
  // At least half of it.
  if (free.every(({ left }) => 2 * left < least)) return;
  for (const index of open) {
    const tries = Math.max(0, taken[index] ?? 0);
    if (tries >= triesAfter(plan, index, rounds)) continue;
    if (place(plan, index, 'new', Infinity, true) === null) continue;
    taken[index] = tries + 1;
    return;
  }
}

/** In blocks, tries of one exercise follow each other, and what is least known comes first. */
function inBlocks({ works, states }: DayPlan, { main }: OpenStretch): readonly PlannedTry[] {
  const climbed = (index: number) =>
    (states[index]?.rung ?? 0) / Math.max(1, works[index]?.trySeconds.length ?? 1);
  const played: number[] = [];
  for (const { work } of main) if (!played.includes(work)) played.push(work);
  if (played.length < 2) return main;
  played.sort((a, b) => climbed(a) - climbed(b) || a - b);
  const found: PlannedTry[] = [];
  for (const index of played) {
    for (const entry of main) if (entry.work === index) found.push(entry);
  }
  return found;
}

/** A stretch in order, with its breaks. */
function entriesOf(
  { on, breaks, warm, after }: OpenStretch,
  main: readonly PlannedTry[],
): readonly PlannedTry[] {
  const entries = warm.length + after.length === 0 ? main : [...warm, ...main, ...after];
  if (breaks === 0) return entries;
  const found: PlannedTry[] = [];
  let since = 0;
  let left = breaks;
  for (const entry of entries) {
    if (left > 0 && since > 0 && since + entry.seconds > BREAK_AFTER) {
      const rest = { playSeconds: BREAK_SECONDS, seconds: BREAK_SECONDS, cutTo: null };
      found.push({ work: -1, kind: 'break', on, ...rest });
      left -= 1;
      since = 0;
    }
    found.push(entry);
    since += entry.seconds;
  }
  return found;
}
