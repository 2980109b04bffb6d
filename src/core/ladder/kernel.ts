import { VERDICTS, type Try, type Verdict } from '../log';
import type { AdvanceRule } from './rule-schema';

/** All the numbers that verdicts move: `state.ts` has a ladder's words and reasons on top of them, and
 * plans count with these alone. Days are whole, from 1970. */
export interface Counter {
  /** Place of the next rung to play, from 0. */
  rung: number;
  /** Clean tries on this rung that count: since the last one that was not, or of the last ones. */
  clean: number;
  /** Where the rule looks at the last tries: which of them were clean, as bits, the latest the lowest. */
  lately: number;
  lostInARow: number;
  /** The target has been played clean as often as the rule asks. */
  passed: boolean;
  /** Still looking for the start. */
  climbing: boolean;
  /** What is played: the whole, something simpler, or the whole with a twist. */
  form: 'whole' | 'simpler' | 'twist';
  /** The best rung so far: from there on the ground is new. */
  best: number;
  /** Practice days on the way from the best rung so far to the next, from the first try on it. */
  stuckDays: number;
  /** How many there were when a plateau was last asked about. */
  askedDays: number;
  /** Rungs in a row that were won with clean tries alone. */
  easy: number;
  /** Whether all tries on this rung were clean. */
  spotless: boolean;
  /** Passed work: how often it came back well, and when it is due again; `NEVER` while it is not passed. */
  keepTimes: number;
  keepDue: number;
  /** The last practice day; `NEVER` before the first. */
  lastDay: number;
}

/** No day. */
export const NEVER = -1;

/** Passed work comes back after so many days, each time after more; common practice, no source. */
const KEEP_DAYS = [2, 4, 8, 16, 32] as const;

/** What verdicts are counted by. */
export interface Steps extends AdvanceRule {
  /** The last rung. */
  readonly top: number;
}

/** The same for a ladder that moves by itself. */
export interface Counting extends Steps {
  /** Whether something can be taken away where it breaks at the lowest rung. */
  readonly varies: boolean;
  /** Waits for the teacher, and so is not lowered for days away. */
  readonly waits: boolean;
}

/** @param rung where the ladder begins */
export function startCounter(rung: number, climbing = false): Counter {
  return {
    rung,
    clean: 0,
    lately: 0,
    lostInARow: 0,
    passed: false,
    climbing,
    form: 'whole',
    best: rung,
    stuckDays: 0,
    askedDays: 0,
    easy: 0,
    spotless: true,
    keepTimes: 0,
    keepDue: NEVER,
    lastDay: NEVER,
  };
}

/** Practice days since the last gain are counted with the first try of each; the first of them may be the day
 * of the gain itself, where the new rung was tried on it. */
export function markDay(counter: Counter, day: number): void {
  if (day <= counter.lastDay && counter.stuckDays > 0) return;
  counter.stuckDays += 1;
  counter.lastDay = Math.max(day, counter.lastDay);
}

/** What a try counts as; null where it is time played and moves nothing: nobody has said how it went, or it
 * was stopped and its rule does not take that for it. */
export function verdictCounted(
  { verdict, stopped = false }: Pick<Try, 'verdict' | 'stopped'>,
  { stopped: rule }: Pick<AdvanceRule, 'stopped'>,
): Verdict | null {
  if (!stopped || rule === 'all') return verdict;
  return rule === 'nothing' || verdict === 'clean' ? null : verdict;
}

/** What can be said of a try: of one that was stopped that it was clean only where its rule takes it for a whole one. */
export function verdictsOf(
  { stopped = false }: Pick<Try, 'stopped'>,
  { stopped: rule }: Pick<AdvanceRule, 'stopped'>,
): readonly Verdict[] {
  return stopped && rule !== 'all' ? VERDICTS.filter((one) => one !== 'clean') : VERDICTS;
}

/** Comes back to an item after too many days without it: a rung lower, and all that was counted is counted again from
 * nothing. Changes the counter. @param lowers whether the ladder may move by itself  @returns whether it was that long */
export function comeBack(
  counter: Counter,
  { away }: Pick<AdvanceRule, 'away'>,
  day: number,
  lowers = true,
): boolean {
  const { passed, climbing, lastDay, rung } = counter;
  if (away === undefined || passed || climbing || lastDay === NEVER) return false;
  if (day - lastDay <= away) return false;
  toRung(counter, Math.max(0, rung - Number(lowers)));
  counter.stuckDays = 0;
  counter.askedDays = 0;
  // As if the day before had been one, so that this is said once.
  counter.lastDay = day - 1;
  return true;
}

/** What a verdict came to. `won`: clean as often as the rule asks. `sunk`: lost as often as it allows.
 * `kept`, `slipped`: passed work stays, or is on its ladder again. `climbed`, `found`: the start is looked
 * for further up, or was found. */
export type Counted =
  | 'counting'
  | 'held'
  | 'won'
  | 'sunk'
  | 'kept'
  | 'slipped'
  | 'climbed'
  | 'found';

/** Counts one try on the rung that is asked for; changes the counter. Clean counts for its rung; shaky sets the count
 * to 0, unless the rule looks at the last tries; lost too, and so many in a row sink. Where the ladder goes then is
 * another matter: `wonLeads`, `sunkLeads`, or a teacher's word. */
export function countTry(counter: Counter, verdict: Verdict, rule: Steps, day: number): Counted {
  if (counter.passed) return keepWarm(counter, verdict, rule, day);
  if (counter.climbing) return climbOn(counter, verdict, rule);
  const isClean = verdict === 'clean';
  if (rule.of === undefined) counter.clean = isClean ? counter.clean + 1 : 0;
  else {
    counter.lately = ((counter.lately << 1) | Number(isClean)) & (2 ** rule.of - 1);
    counter.clean = bitsOf(counter.lately);
  }
  if (isClean) {
    counter.lostInARow = 0;
    return counter.clean < rule.clean ? 'counting' : 'won';
  }
  counter.spotless = false;
  counter.lostInARow = verdict === 'lost' ? counter.lostInARow + 1 : 0;
  return counter.lostInARow < rule.lost ? 'held' : 'sunk';
}

/** How many bits of a whole number are set. */
export function bitsOf(number: number): number {
  let bits = 0;
  for (let rest = number; rest > 0; rest &= rest - 1) bits += 1;
  return bits;
}

/** Where a rung that was won leads: to the whole where something simpler was played, past the target, or a
 * rung up. */
export function wonLeads({ form, rung }: Counter, { top }: Steps): 'whole' | 'passed' | 'raised' {
  if (form === 'simpler') return 'whole';
  return rung === top ? 'passed' : 'raised';
}

/** Where a rung that was lost too often leads: one lower; at the lowest to something simpler, where there
 * is such a thing and it is not played already. */
export function sunkLeads(
  { form, rung }: Counter,
  varies: boolean,
): 'lowered' | 'simpler' | 'held' {
  if (rung > 0) return 'lowered';
  return form === 'whole' && varies ? 'simpler' : 'held';
}

/** Whether so many practice days have brought no gain that it is time to ask. */
export function isStuck(counter: Counter, verdict: Verdict, { plateau }: AdvanceRule): boolean {
  if (counter.form !== 'whole' || counter.passed || verdict === 'clean') return false;
  return counter.stuckDays - counter.askedDays >= plateau;
}

/** One try further on a ladder that moves by itself; changes the counter. Replaying a log comes to the
 * same, where nothing else was said about its tries. */
export function advance(counter: Counter, verdict: Verdict, rule: Counting, day: number): void {
  comeBack(counter, rule, day, !rule.waits);
  markDay(counter, day);
  const counted = countTry(counter, verdict, rule, day);
  if (counted === 'won') win(counter, rule, day);
  else if (counted === 'sunk') sink(counter, rule.varies);
  else if (counted !== 'held') return;
  if (!rule.varies || !isStuck(counter, verdict, rule)) return;
  counter.askedDays = counter.stuckDays;
  makeSimpler(counter);
}

function win(counter: Counter, rule: Steps, day: number): void {
  const leads = wonLeads(counter, rule);
  if (leads === 'whole') makeWhole(counter);
  else if (leads === 'passed') pass(counter, day);
  else raise(counter);
}

function sink(counter: Counter, varies: boolean): void {
  const leads = sunkLeads(counter, varies);
  if (leads === 'lowered') toRung(counter, counter.rung - 1);
  else if (leads === 'simpler') makeSimpler(counter);
  else counter.lostInARow = 0;
}

/** On another rung nothing is counted yet. */
export function toRung(counter: Counter, rung: number): void {
  counter.rung = rung;
  counter.clean = 0;
  counter.lately = 0;
  counter.lostInARow = 0;
  counter.passed = false;
  counter.spotless = true;
  counter.keepTimes = 0;
  counter.keepDue = NEVER;
  if (rung > counter.best) gainAt(counter, rung);
}

/** A rung that was just won, or that all begins anew from. */
export function gainAt(counter: Counter, rung: number): void {
  counter.best = rung;
  counter.stuckDays = 0;
  counter.askedDays = 0;
}

export function raise(counter: Counter): void {
  const easy = counter.spotless ? counter.easy + 1 : 0;
  toRung(counter, counter.rung + 1);
  counter.easy = easy;
}

export function makeWhole(counter: Counter): void {
  toRung(counter, counter.rung);
  counter.form = 'whole';
}

function makeSimpler(counter: Counter): void {
  toRung(counter, counter.rung);
  counter.form = 'simpler';
}

export function pass(counter: Counter, day: number): void {
  counter.clean = 0;
  counter.lately = 0;
  counter.passed = true;
  counter.keepTimes = 0;
  counter.keepDue = day + KEEP_DAYS[0];
}

/** Passed work that came back well comes back later. */
export function keepAgain(counter: Counter, day: number): void {
  counter.keepTimes += 1;
  const days = KEEP_DAYS[Math.min(counter.keepTimes, KEEP_DAYS.length - 1)] ?? 1;
  counter.keepDue = day + days;
}

/** Passed work comes back at growing intervals; shaky brings it back the next day, lost often enough puts
 * it on its ladder again. */
function keepWarm(counter: Counter, verdict: Verdict, rule: Steps, day: number): Counted {
  if (verdict === 'clean') {
    counter.lostInARow = 0;
    if (day >= counter.keepDue) keepAgain(counter, day);
    return 'kept';
  }
  counter.lostInARow = verdict === 'lost' ? counter.lostInARow + 1 : 0;
  if (counter.lostInARow >= rule.lost) {
    toRung(counter, Math.max(0, counter.rung - 1));
    return 'slipped';
  }
  counter.keepTimes = 0;
  counter.keepDue = day + 1;
  return 'kept';
}

/** A rung upward until the first try that is not clean; the ladder starts as far below as the rule says. */
function climbOn(counter: Counter, verdict: Verdict, { top, below = 1 }: Steps): Counted {
  const clean = verdict === 'clean';
  if (clean && counter.rung < top) {
    toRung(counter, counter.rung + 1);
    return 'climbed';
  }
  toRung(counter, clean ? counter.rung : Math.max(0, counter.rung - below));
  counter.climbing = false;
  gainAt(counter, counter.rung);
  return 'found';
}
