import type { Bpm } from '../time';
import { rungsOf, type Ladder } from './ladder';
import type { AdvanceRule, Verdict } from './verdict';

/** One finished try, as the log keeps it. */
export interface Try {
  readonly id: string;
  readonly bpm: number;
  readonly verdict: Verdict;
}

/** Why the ladder stands where it stands. */
export type RungReason =
  | { readonly kind: 'start' }
  | { readonly kind: 'counting'; readonly clean: number }
  | { readonly kind: 'held'; readonly after: 'shaky' | 'lost' }
  | { readonly kind: 'raised'; readonly from: Bpm }
  | { readonly kind: 'lowered'; readonly from: Bpm }
  | { readonly kind: 'simplify' }
  | { readonly kind: 'passed' };

/** A ladder after some tries. */
export interface LadderState {
  readonly rungs: readonly Bpm[];
  /** Place of the next rung to play, from 0. */
  readonly rung: number;
  readonly bpm: Bpm;
  /** Clean tries on this rung since the last one that was not. */
  readonly clean: number;
  readonly lostInARow: number;
  readonly reason: RungReason;
  /** The target has been played clean as often as the rule asks. */
  readonly passed: boolean;
}

/** Where a ladder without tries stands. */
export function startLadder(ladder: Ladder): LadderState {
  const rungs = rungsOf(ladder);
  return {
    rungs,
    rung: 0,
    bpm: rungs[0] as Bpm,
    clean: 0,
    lostInARow: 0,
    reason: { kind: 'start' },
    passed: false,
  };
}

/** One try further. Clean counts for its rung; shaky sets the count to 0 and holds; lost sets it
 * to 0, and so many lost in a row go one rung lower, at the lowest rung propose to simplify.
 * A try at another tempo than the rung's is on record, but moves nothing. */
export function afterTry(state: LadderState, entry: Try, rule: AdvanceRule): LadderState {
  if (entry.bpm !== state.bpm) return state;
  switch (entry.verdict) {
    case 'clean': {
      const clean = state.clean + 1;
      if (clean < rule.clean) {
        return { ...state, clean, lostInARow: 0, reason: { kind: 'counting', clean } };
      }
      const atTop = state.rung === state.rungs.length - 1;
      if (!atTop) return moveTo(state, state.rung + 1, 'raised');
      return { ...state, clean: 0, lostInARow: 0, reason: { kind: 'passed' }, passed: true };
    }
    case 'shaky':
      return { ...state, clean: 0, lostInARow: 0, reason: { kind: 'held', after: 'shaky' } };
    case 'lost': {
      const lostInARow = state.lostInARow + 1;
      const held = { ...state, clean: 0, lostInARow };
      if (lostInARow < rule.lost) return { ...held, reason: { kind: 'held', after: 'lost' } };
      if (state.rung > 0) return moveTo(state, state.rung - 1, 'lowered');
      return { ...held, lostInARow: 0, reason: { kind: 'simplify' } };
    }
  }
}

function moveTo(state: LadderState, rung: number, kind: 'raised' | 'lowered'): LadderState {
  return {
    ...state,
    rung,
    bpm: state.rungs[rung] as Bpm,
    clean: 0,
    lostInARow: 0,
    reason: { kind, from: state.bpm },
    passed: false,
  };
}

/** The state after a whole log, oldest try first. The same log always gives the same state; an
 * entry that comes twice (the same id) counts once.
 * @example 3 clean to advance: C C S C C C // => one rung up */
export function replay(ladder: Ladder, rule: AdvanceRule, log: readonly Try[]): LadderState {
  const seen = new Set<string>();
  return log.reduce((state, entry) => {
    if (seen.has(entry.id)) return state;
    seen.add(entry.id);
    return afterTry(state, entry, rule);
  }, startLadder(ladder));
}

/** Why this rung, in one short sentence. */
export function reasonText(state: LadderState, rule: AdvanceRule): string {
  const { reason, bpm } = state;
  switch (reason.kind) {
    case 'start':
      return `Start of the ladder: ${rule.clean} clean to go on.`;
    case 'counting':
      return `${reason.clean} of ${rule.clean} clean at ${bpm}.`;
    case 'held':
      return reason.after === 'shaky'
        ? `Last try shaky: ${bpm} again, ${rule.clean} clean to go on.`
        : `Last try lost: ${bpm} again, ${rule.clean} clean to go on.`;
    case 'raised':
      return `${rule.clean} clean at ${reason.from}: now ${bpm}.`;
    case 'lowered':
      return `${rule.lost} lost in a row at ${reason.from}: back to ${bpm}.`;
    case 'simplify':
      return `${rule.lost} lost in a row at the lowest rung: make it simpler with your teacher.`;
    case 'passed':
      return `Target ${bpm} reached: keep it warm.`;
  }
}
