import { dayNumber, type Day } from '../calendar';
import type { JudgedTry } from '../log';
import type { Course } from './course-schema';
import { headStart } from './head-start';
import { hereAsks, moved, restore, restsOn, vary, type Draft } from './draft';
import {
  comeBack,
  countTry,
  isStuck,
  markDay,
  pass,
  raise,
  sunkLeads,
  toRung,
  wonLeads,
  type Steps,
} from './kernel';
import { isRung } from './rung-key';
import { bridgeOver, chooseSimpler } from './simpler';
import {
  EASY_RUNGS,
  rungAt,
  type Because,
  type Following,
  type LadderState,
  type Proposal,
  type RungReason,
} from './state';

/** Entries that a reason or proposal may rest on, at most. */
export const MOST_BASIS = 12;

/** The tries that a move may rest on, this one included, oldest first. */
interface Recent {
  readonly late: readonly JudgedTry[];
  readonly lowest: readonly JudgedTry[];
}

/** One try further. The kernel counts; here stand the reasons. A try on another rung is on record, but
 * moves nothing. An item that proposes holds until the teacher decides. */
export function afterTry(
  before: LadderState,
  entry: JudgedTry,
  following: Following,
  recent: Recent,
): LadderState {
  const day = dayNumber(entry.day);
  const state = onTry(before, following.course, entry);
  const counts = isOnRung(state, entry);
  if (!counts && day <= state.lastDay) return state;
  const draft: Draft = { ...state };
  markDay(draft, day);
  if (!counts) return draft;
  draft.basis = basisOf(draft, entry);
  const rule: Steps = { ...following.course.rule, top: draft.rungs.length - 1 };
  const here = hereAsks(draft);
  const counted = countTry(draft, entry.verdict, rule, day);
  switch (counted) {
    case 'kept':
      if (entry.verdict !== 'clean') withdraw(draft, ['twist']);
      draft.reason = { kind: 'kept', slipping: draft.lostInARow > 0 };
      return draft;
    case 'slipped':
      moved(draft, { kind: 'slipped' });
      return draft;
    case 'climbed':
      moved(draft, { kind: 'climbing' });
      return draft;
    case 'found':
      moved(draft, { kind: 'found', shaky: entry.verdict === 'clean' ? null : here });
      return draft;
    case 'counting':
      withdraw(draft, ['lower']);
      draft.reason = { kind: 'counting', clean: draft.clean };
      break;
    case 'won':
      withdraw(draft, ['lower']);
      won(draft, rule, following, day);
      break;
    case 'held':
      notClean(draft, rule);
      if (asksForMore(draft)) break;
      draft.reason = { kind: 'held', after: entry.verdict === 'lost' ? 'lost' : 'shaky' };
      break;
    case 'sunk':
      notClean(draft, rule);
      sunk(draft, rule, following, recent);
      break;
  }
  if (!draft.proposal && isStuck(draft, entry.verdict, rule)) stuck(draft, following, recent);
  return draft;
}

/** Where a ladder stands on a date: after too many days without the item, a rung lower, unless the teacher moves it. */
export function onDay(
  state: LadderState,
  { rule, follow }: Pick<Course, 'rule' | 'follow'>,
  on: Day,
): LadderState {
  const draft: Draft = { ...state };
  const [day, from] = [dayNumber(on), hereAsks(state)];
  if (!comeBack(draft, rule, day, follow === 'acts')) return state;
  moved(draft, { kind: 'away', days: day - state.lastDay, from });
  draft.basis = [];
  return draft;
}

/** Where a ladder stands as a try comes: halfway up it, where it may begin there and that is what was played. */
export function onTry(
  state: LadderState,
  course: Course,
  entry: Pick<JudgedTry, 'day' | 'rung' | 'bpm'>,
): LadderState {
  const ahead = headStart(state, course);
  return ahead !== state && isOnRung(ahead, entry) ? ahead : onDay(state, course, entry.day);
}

/** Whether a try was on the rung that is asked for now. */
export function isOnRung(
  { rungs, rung: index }: LadderState,
  entry: Pick<JudgedTry, 'rung' | 'bpm'>,
): boolean {
  const rung = rungAt(rungs, index);
  return entry.rung !== null ? isRung(rung, entry.rung) : entry.bpm === rung.bpm;
}

/** A reason rests on the tries since the ladder last moved. */
function basisOf({ reason, basis }: Draft, entry: JudgedTry): readonly string[] {
  const stays = reason.kind === 'counting' || reason.kind === 'held' || reason.kind === 'asks';
  return stays ? [...basis, entry.id].slice(-MOST_BASIS) : [entry.id];
}

function notClean(draft: Draft, rule: Steps): void {
  withdraw(draft, ['twist']);
  // Of the last tries there may still be enough clean ones.
  if (draft.clean < rule.clean) withdraw(draft, ['advance', 'restore']);
}

/** Whether a teacher is asked about going on. */
function asksForMore({ proposal }: Draft): boolean {
  return proposal?.kind === 'advance' || proposal?.kind === 'restore';
}

/** A proposal that the log has overtaken. */
function withdraw(draft: Draft, kinds: readonly Proposal['kind'][]): void {
  if (draft.proposal && kinds.includes(draft.proposal.kind)) draft.proposal = null;
}

/** Clean as often as the rule asks. */
function won(draft: Draft, rule: Steps, following: Following, day: number): void {
  const times = rule.clean;
  const asks = following.course.follow === 'proposes';
  switch (wonLeads(draft, rule)) {
    case 'whole':
      if (!asks) return restore(draft);
      return ask(draft, {
        kind: 'restore',
        ...restsOn(draft, { code: 'clean', times, without: true }),
      });
    case 'passed': {
      const easy = draft.spotless;
      pass(draft, day);
      moved(draft, { kind: 'passed' });
      if (easy) mayTwist(draft, following, { code: 'target-spotless' });
      return;
    }
    case 'raised': {
      if (!asks) return raiseWith(draft, following);
      const to = rungAt(draft.rungs, draft.rung + 1).asks;
      const because = { code: 'clean', times, without: false } as const;
      return ask(draft, { kind: 'advance', to, ...restsOn(draft, because) });
    }
  }
}

/** One rung up; what has been easy for long may take a twist, which is for the teacher to say. */
export function raiseWith(draft: Draft, following: Following): void {
  const from = hereAsks(draft);
  raise(draft);
  moved(draft, { kind: 'raised', from });
  if (draft.easy < EASY_RUNGS) return;
  mayTwist(draft, following, { code: 'rungs-spotless', rungs: draft.easy });
}

function mayTwist(draft: Draft, { facts }: Following, why: Because): void {
  if (!facts.twist || draft.variation) return;
  draft.proposal = { kind: 'twist', variation: facts.twist, ...restsOn(draft, why) };
}

/** Lost as often as the rule allows. */
function sunk(
  draft: Draft,
  { lost }: Steps,
  { course, facts }: Following,
  { lowest }: Recent,
): void {
  const simpler = chooseSimpler(facts, lowest);
  const acts = course.follow === 'acts';
  const leads = sunkLeads(draft, simpler !== null);
  if (leads === 'lowered') {
    if (acts) return lower(draft);
    const to = rungAt(draft.rungs, draft.rung - 1).asks;
    const because = { code: 'lost', times: lost } as const;
    return ask(draft, { kind: 'lower', to, ...restsOn(draft, because) });
  }
  if (leads === 'held' || !simpler) {
    draft.lostInARow = 0;
    draft.reason = { kind: 'held', after: 'lost' };
    return;
  }
  const { variation } = simpler;
  const because = { code: 'lost-at-bottom', times: lost, fact: simpler.because } as const;
  if (acts) return vary(draft, variation, because);
  ask(draft, { kind: 'simplify', variation, ...restsOn(draft, because) });
}

export function lower(draft: Draft): void {
  const reason: RungReason = { kind: 'lowered', from: hereAsks(draft) };
  toRung(draft, Math.max(0, draft.rung - 1));
  moved(draft, reason);
}

/** So many practice days without gain: the bridge that breaks, or something simpler. Asked again only
 * after as many days more. */
function stuck(draft: Draft, { course, facts }: Following, { late }: Recent): void {
  const bad = late.filter((one) => one.verdict !== 'clean');
  const found = bridgeOver(facts, bad) ?? chooseSimpler(facts, late);
  if (!found) return;
  draft.askedDays = draft.stuckDays;
  draft.basis = bad.map((one) => one.id);
  const because = { code: 'no-gain', days: draft.stuckDays, fact: found.because } as const;
  const { variation } = found;
  if (course.follow === 'acts') return vary(draft, variation, because);
  ask(draft, { kind: 'plateau', variation, ...restsOn(draft, because) });
}

/** Waits for the teacher; what was asked before gives way to what happened since. */
function ask(draft: Draft, proposal: Proposal): void {
  draft.proposal = proposal;
  draft.reason = { kind: 'asks' };
}
