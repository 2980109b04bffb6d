import { dayNumber } from '../calendar';
import type { Decided, Decision, Variation } from '../log';
import { beginAt, moved, restore, vary, type Draft } from './draft';
import { lower, MOST_BASIS, raiseWith } from './judge';
import { NEVER } from './kernel';
import type { Following, LadderState, Proposal } from './state';

/** One decision further. One that answers what is not asked any more moves nothing. */
export function afterDecision(
  state: LadderState,
  { id, day, decision }: Decided,
  following: Following,
): LadderState {
  const draft: Draft = { ...state };
  if (!decide(draft, decision, following)) return state;
  draft.basis = [...state.basis, id].slice(-MOST_BASIS);
  // Days away are counted from when the teacher last said something, too.
  const isCounted = following.course.rule.away !== undefined && draft.lastDay !== NEVER;
  if (isCounted) draft.lastDay = Math.max(draft.lastDay, dayNumber(day) - 1);
  return draft;
}

/** @returns whether the decision moves anything */
function decide(draft: Draft, decision: Decision, following: Following): boolean {
  switch (decision.does) {
    case 'accept':
      if (draft.proposal?.kind !== decision.proposal) return false;
      return accept(draft, instead(draft.proposal, decision.variation), following);
    case 'decline':
      if (draft.proposal?.kind !== decision.proposal) return false;
      decline(draft);
      return true;
    case 'move':
      if (decision.rung >= draft.rungs.length) return false;
      beginAt(draft, decision.rung);
      draft.climbing = false;
      moved(draft, { kind: 'moved' });
      return true;
    case 'vary':
      if (decision.variation) vary(draft, decision.variation, { code: 'teacher' });
      else restore(draft);
      return true;
  }
}

/** The proposal with another variation of its kind in place of its own. */
function instead(proposal: Proposal, variation: Variation | undefined): Proposal {
  return variation && 'variation' in proposal ? { ...proposal, variation } : proposal;
}

function accept(draft: Draft, proposal: Proposal, following: Following): boolean {
  switch (proposal.kind) {
    case 'advance':
      if (draft.rung === draft.rungs.length - 1) return false;
      raiseWith(draft, following);
      return true;
    case 'lower':
      lower(draft);
      return true;
    case 'restore':
      restore(draft);
      return true;
    case 'simplify':
    case 'plateau':
      vary(draft, proposal.variation, proposal.because);
      return true;
    case 'twist':
      beginAt(draft, 0);
      vary(draft, proposal.variation, proposal.because);
      return true;
  }
}

/** What was not wanted is asked anew only after as much again. */
function decline(draft: Draft): void {
  draft.proposal = null;
  draft.clean = 0;
  draft.lately = 0;
  draft.lostInARow = 0;
  draft.easy = 0;
  draft.askedDays = draft.stuckDays;
  if (!draft.passed) draft.reason = { kind: 'declined' };
}
