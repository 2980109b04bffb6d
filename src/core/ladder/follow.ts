import { sayCount } from '../issue';
import { daysAfter, type Day } from '../calendar';
import type { Decided, Decision, LogEvent, Try } from './event';
import type { Dosage } from './dosage';
import { bridgeOver, chooseSimpler } from './simpler';
import {
  EASY_RUNGS,
  KEEP_DAYS,
  rungAt,
  startLadder,
  type Following,
  type LadderState,
  type Proposal,
  type RungReason,
} from './state';
import { isTwist } from './variation';

/** Entries that a reason or proposal may rest on, at most. */
const MOST_BASIS = 12;

/** The state after a whole log, oldest entry first. The same log always gives the same state; an
 * entry that comes twice (the same id) counts once, and a decision that was taken back moves nothing.
 * @param watch is told of each try, with where the ladder stood before it
 * @example 3 clean to advance: C C S C C C // => one rung up */
export function replay(
  following: Following,
  log: readonly LogEvent[],
  watch?: (entry: Try, before: LadderState) => void,
): LadderState {
  const takenBack = new Set(
    log.flatMap((one) => (one.kind === 'taken-back' ? [one.decisionId] : [])),
  );
  const seen = new Set<string>();
  const tries: Try[] = [];
  let state = startLadder(following);
  for (const event of log) {
    if (seen.has(event.id)) continue;
    seen.add(event.id);
    if (event.kind === 'try') {
      tries.push(event);
      watch?.(event, state);
      state = afterTry(state, event, following, tries);
    } else if (event.kind === 'decided' && !takenBack.has(event.id)) {
      state = afterDecision(state, event, following);
    }
  }
  return state;
}

/** Bars of one try while the start is looked for; common practice, no source. */
const CLIMB_DOSAGE: Dosage = { kind: 'bars', amount: 2 };

/** How much one try is just now. */
export function dosageNow(state: LadderState, dosage: Dosage): Dosage {
  if (state.climbing) return CLIMB_DOSAGE;
  return rungAt(state.rungs, state.rung).dosage ?? dosage;
}

/** One try further. Clean counts for its rung; shaky sets the count to 0 and holds; lost sets it
 * to 0, and so many lost in a row go one rung lower, at the lowest rung to something simpler. A try on
 * another rung is on record, but moves nothing. An item that proposes holds until the teacher decides.
 * @param tries all of them up to this one, oldest first */
function afterTry(
  state: LadderState,
  entry: Try,
  following: Following,
  tries: readonly Try[],
): LadderState {
  const dated = onDay(state, entry.day);
  if (!isOnRung(dated, entry)) return dated;
  const seen = { ...dated, basis: basisOf(state, entry) };
  if (seen.passed) return keepWarm(seen, entry, following);
  if (seen.climbing) return climbOn(seen, entry);
  return plateau(judge(seen, entry, following, tries), entry, following, tries);
}

function isOnRung(state: LadderState, entry: Try): boolean {
  const rung = rungAt(state.rungs, state.rung);
  if (entry.rung !== null) return entry.rung === rung.key;
  return entry.bpm === rung.bpm;
}

/** Practice days since the last gain are counted with the first try of each. */
function onDay(state: LadderState, day: Day): LadderState {
  if (state.lastDay !== null && day <= state.lastDay) return state;
  const days = state.lastDay === null ? 0 : state.gain.days + 1;
  return { ...state, lastDay: day, gain: { ...state.gain, days } };
}

/** A reason rests on the tries since the ladder last moved. */
function basisOf(state: LadderState, entry: Try): readonly string[] {
  const moved =
    state.reason.kind !== 'counting' &&
    state.reason.kind !== 'held' &&
    state.reason.kind !== 'asks';
  return moved ? [entry.id] : [...state.basis, entry.id].slice(-MOST_BASIS);
}

function judge(
  state: LadderState,
  entry: Try,
  following: Following,
  tries: readonly Try[],
): LadderState {
  const { rule, follow } = following.course;
  switch (entry.verdict) {
    case 'clean': {
      const clean = state.clean + 1;
      const counted = {
        ...withdraw(state, ['lower']),
        clean,
        lostInARow: 0,
      };
      if (clean < rule.clean) return because(counted, { kind: 'counting', clean });
      if (state.variation && !isTwist(state.variation)) return restoreWhole(counted, following);
      if (isTop(state)) return pass(counted, entry.day, following);
      const to = rungAt(state.rungs, state.rung + 1).says;
      if (follow === 'proposes') {
        return ask(counted, { kind: 'advance', to, ...restsOn(counted, `${rule.clean} clean`) });
      }
      return raise(counted, following);
    }
    case 'shaky':
      return because(notClean(state, 0), { kind: 'held', after: 'shaky' });
    case 'lost': {
      const lostInARow = state.lostInARow + 1;
      const held = notClean(state, lostInARow);
      if (lostInARow < rule.lost) return because(held, { kind: 'held', after: 'lost' });
      if (state.rung === 0) return simplify(held, following, tries);
      if (follow === 'acts') return moveTo(held, state.rung - 1, 'lowered');
      const to = rungAt(state.rungs, state.rung - 1).says;
      return ask(held, { kind: 'lower', to, ...restsOn(held, `${rule.lost} lost in a row`) });
    }
  }
}

function notClean(state: LadderState, lostInARow: number): LadderState {
  return {
    ...withdraw(state, ['advance', 'restore', 'twist']),
    clean: 0,
    lostInARow,
    spotless: false,
  };
}

function isTop(state: LadderState): boolean {
  return state.rung === state.rungs.length - 1;
}

function because(state: LadderState, reason: RungReason): LadderState {
  return { ...state, reason };
}

function restsOn(state: LadderState, why: string): { basis: readonly string[]; because: string } {
  return { basis: state.basis, because: why };
}

/** Waits for the teacher; what was asked before gives way. What is stuck stays asked while the ladder
 * only goes up and down below the best rung. */
function ask(state: LadderState, proposal: Proposal): LadderState {
  const stuck = state.proposal?.kind === 'plateau' || state.proposal?.kind === 'simplify';
  const gains = proposal.kind === 'advance' && state.rung >= state.gain.rung;
  const graver = proposal.kind === 'plateau' || proposal.kind === 'simplify';
  if (stuck && !gains && !graver) return because(state, { kind: 'asks' });
  return { ...state, proposal, reason: { kind: 'asks' } };
}

/** A proposal that the log has overtaken. */
function withdraw(state: LadderState, kinds: readonly Proposal['kind'][]): LadderState {
  return state.proposal && kinds.includes(state.proposal.kind)
    ? { ...state, proposal: null }
    : state;
}

function moveTo(state: LadderState, rung: number, kind: 'raised' | 'lowered'): LadderState {
  const from = rungAt(state.rungs, state.rung).says;
  return { ...onRung(state, rung), reason: { kind, from } };
}

/** A rung that was just won. */
function gainAt(rung: number): LadderState['gain'] {
  return { rung, days: 0, asked: 0 };
}

/** On another rung nothing is counted yet. */
function onRung(state: LadderState, rung: number): LadderState {
  const gain = rung > state.gain.rung ? gainAt(rung) : state.gain;
  return {
    ...state,
    rung,
    bpm: rungAt(state.rungs, rung).bpm,
    clean: 0,
    lostInARow: 0,
    proposal: null,
    passed: false,
    keep: null,
    spotless: true,
    gain,
  };
}

/** One rung up; what has been easy for long may take a twist, which is for the teacher to say. */
function raise(state: LadderState, { facts }: Following): LadderState {
  const easy = state.spotless ? state.easy + 1 : 0;
  const raised = { ...moveTo(state, state.rung + 1, 'raised'), easy };
  if (easy < EASY_RUNGS || !facts.twist || state.variation) return raised;
  const why = `${easy} rungs in a row with clean tries alone`;
  return { ...raised, proposal: { kind: 'twist', variation: facts.twist, ...restsOn(state, why) } };
}

function pass(state: LadderState, day: Day, { facts }: Following): LadderState {
  const keep = { times: 0, due: daysAfter(day, KEEP_DAYS[0]) };
  const passed: LadderState = {
    ...state,
    clean: 0,
    passed: true,
    keep,
    reason: { kind: 'passed' },
    proposal: null,
  };
  if (!state.spotless || !facts.twist || state.variation) return passed;
  const why = 'the target came with clean tries alone';
  return { ...passed, proposal: { kind: 'twist', variation: facts.twist, ...restsOn(state, why) } };
}

/** Passed work comes back at growing intervals; shaky brings it back soon, lost often enough puts it
 * on its ladder again. */
function keepWarm(state: LadderState, entry: Try, { course }: Following): LadderState {
  const { keep } = state;
  if (!keep) return state;
  if (entry.verdict === 'clean') {
    const kept = because({ ...state, lostInARow: 0 }, { kind: 'kept' });
    if (entry.day < keep.due) return kept;
    const times = keep.times + 1;
    const days = KEEP_DAYS[Math.min(times, KEEP_DAYS.length - 1)] ?? 1;
    return { ...kept, keep: { times, due: daysAfter(entry.day, days) } };
  }
  const lostInARow = entry.verdict === 'lost' ? state.lostInARow + 1 : 0;
  if (lostInARow >= course.rule.lost)
    return because(onRung(state, Math.max(0, state.rung - 1)), { kind: 'slipped' });
  const soon = { times: 0, due: daysAfter(entry.day, 1) };
  return { ...withdraw(state, ['twist']), lostInARow, keep: soon, reason: { kind: 'kept' } };
}

/** Two bars a rung upward until the first that is not clean; the ladder starts one below. */
function climbOn(state: LadderState, entry: Try): LadderState {
  if (entry.verdict === 'clean' && !isTop(state)) {
    return because(onRung(state, state.rung + 1), { kind: 'climbing' });
  }
  const clean = entry.verdict === 'clean';
  const rung = clean ? state.rung : Math.max(0, state.rung - 1);
  const shaky = clean ? null : rungAt(state.rungs, state.rung).says;
  const found = { ...onRung(state, rung), climbing: false, gain: gainAt(rung) };
  return because(found, { kind: 'found', shaky });
}

/** Something is taken away, or the teacher is asked to. */
function simplify(state: LadderState, following: Following, tries: readonly Try[]): LadderState {
  const { rule, follow } = following.course;
  const simpler = state.variation ? null : chooseSimpler(following.facts, recent(state, tries));
  if (!simpler) return because({ ...state, lostInARow: 0 }, { kind: 'held', after: 'lost' });
  const why = `${rule.lost} lost in a row at the lowest rung; ${simpler.because}`;
  const { variation } = simpler;
  if (follow === 'proposes')
    return ask(state, { kind: 'simplify', variation, ...restsOn(state, why) });
  return vary(state, { variation, because: why });
}

function vary(
  state: LadderState,
  { variation, because: why }: { variation: LadderState['variation']; because: string },
): LadderState {
  return { ...onRung(state, state.rung), variation, reason: { kind: 'varied', because: why } };
}

function restoreWhole(state: LadderState, { course }: Following): LadderState {
  if (course.follow === 'proposes') {
    return ask(state, {
      kind: 'restore',
      ...restsOn(state, `${course.rule.clean} clean without it`),
    });
  }
  return { ...onRung(state, state.rung), variation: null, reason: { kind: 'whole' } };
}

/** Tries since the ladder last gained: what simplifying and plateaus rest on. */
function recent(state: LadderState, tries: readonly Try[]): readonly Try[] {
  const here = rungAt(state.rungs, state.rung).key;
  const onHere = tries.filter((one) => one.rung === here || one.rung === null);
  return onHere.slice(-MOST_BASIS);
}

/** So many practice days without gain: the bridge that breaks, or something simpler. Asked again only
 * after as many days more. */
function plateau(
  state: LadderState,
  entry: Try,
  following: Following,
  tries: readonly Try[],
): LadderState {
  const { rule, follow } = following.course;
  const { variation, passed, proposal, gain } = state;
  const since = gain.days - gain.asked;
  if (variation || passed || proposal || entry.verdict === 'clean' || since < rule.plateau)
    return state;
  const asking = { ...state, gain: { ...gain, asked: gain.days } };
  const last = tries.slice(-MOST_BASIS);
  const bad = last.filter((one) => one.verdict !== 'clean');
  const found = bridgeOver(following.facts, bad) ?? chooseSimpler(following.facts, last);
  if (!found) return state;
  const stay = `no gain in ${sayCount(gain.days, 'day')} of practice`;
  const why = `${stay}; ${found.because}`;
  const basis = bad.map((one) => one.id);
  const asked: Proposal = { kind: 'plateau', variation: found.variation, because: why, basis };
  if (follow === 'proposes') return ask({ ...asking, basis }, asked);
  return vary({ ...asking, basis }, { variation: found.variation, because: why });
}

/** One decision further. One that answers what is not asked any more moves nothing. */
function afterDecision(
  state: LadderState,
  { id, decision }: Decided,
  following: Following,
): LadderState {
  const after = decide(state, decision, following);
  return after === state ? state : { ...after, basis: [...state.basis, id].slice(-MOST_BASIS) };
}

function decide(state: LadderState, decision: Decision, following: Following): LadderState {
  switch (decision.does) {
    case 'accept':
      return state.proposal?.kind === decision.proposal
        ? accept(state, state.proposal, following)
        : state;
    case 'decline':
      return state.proposal?.kind === decision.proposal ? decline(state) : state;
    case 'move': {
      if (decision.rung >= state.rungs.length) return state;
      const moved = { ...onRung(state, decision.rung), climbing: false, easy: 0 };
      return because({ ...moved, gain: gainAt(decision.rung) }, { kind: 'moved' });
    }
    case 'vary':
      if (decision.variation === null) {
        return because({ ...onRung(state, state.rung), variation: null }, { kind: 'whole' });
      }
      return vary(state, { variation: decision.variation, because: 'your teacher said so' });
  }
}

function accept(state: LadderState, proposal: Proposal, following: Following): LadderState {
  switch (proposal.kind) {
    case 'advance':
      return isTop(state) ? state : raise(state, following);
    case 'lower':
      return moveTo(state, Math.max(0, state.rung - 1), 'lowered');
    case 'restore':
      return because({ ...onRung(state, state.rung), variation: null }, { kind: 'whole' });
    case 'simplify':
    case 'plateau':
      return vary(state, proposal);
    case 'twist': {
      const again = { ...onRung(state, 0), easy: 0, gain: gainAt(0) };
      return vary(again, proposal);
    }
  }
}

/** What was not wanted is asked anew only after as much again. */
function decline(state: LadderState): LadderState {
  const gain = { ...state.gain, asked: state.gain.days };
  const cleared = { ...state, proposal: null, clean: 0, lostInARow: 0, easy: 0, gain };
  return state.passed ? cleared : because(cleared, { kind: 'declined' });
}
