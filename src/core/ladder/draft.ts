import { isTwist, type Variation } from '../log';
import { gainAt, makeWhole, toRung, type Counter } from './kernel';
import type { RungFacts } from './rung-key';
import { rungAt, type Because, type LadderState, type Proposal, type RungReason } from './state';

/** A state on its way to the next one; the kernel counts in it. */
export type Draft = Counter & {
  -readonly [Key in Exclude<keyof LadderState, keyof Counter>]: LadderState[Key];
};

/** What a proposal or a reason rests on. */
export function restsOn(draft: Draft, because: Because): Pick<Proposal, 'basis' | 'because'> {
  return { basis: draft.basis, because };
}

/** A ladder that has moved asks nothing any more. */
export function moved(draft: Draft, reason: RungReason): void {
  draft.bpm = rungAt(draft.rungs, draft.rung).bpm;
  draft.proposal = null;
  draft.reason = reason;
}

export function hereAsks({ rungs, rung }: Pick<LadderState, 'rungs' | 'rung'>): RungFacts {
  return rungAt(rungs, rung).asks;
}

/** Something else is played in place of the whole. */
export function vary(draft: Draft, variation: Variation, because: Because): void {
  toRung(draft, draft.rung);
  draft.form = isTwist(variation) ? 'twist' : 'simpler';
  draft.variation = variation;
  moved(draft, { kind: 'varied', because });
}

/** The whole is played again. */
export function restore(draft: Draft): void {
  makeWhole(draft);
  draft.variation = null;
  moved(draft, { kind: 'whole' });
}

/** All begins anew from a rung. */
export function beginAt(draft: Draft, rung: number): void {
  toRung(draft, rung);
  draft.easy = 0;
  gainAt(draft, rung);
}
