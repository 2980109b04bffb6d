import type { Course } from './course';
import type { LadderState, Proposal } from './state';
import { sayVariation } from '../log';
import { rungAt } from './state';

/** Why this rung, in one short sentence. */
export function reasonText(state: LadderState, { rule }: Pick<Course, 'rule'>): string {
  const { reason } = state;
  const here = rungAt(state.rungs, state.rung).says;
  const varied = state.variation ? `${sayVariation(state.variation)}, ` : '';
  switch (reason.kind) {
    case 'start':
      return `Start of the ladder: ${rule.clean} clean to go on.`;
    case 'climbing':
      return `Looking for your start: two bars at ${here}.`;
    case 'found':
      return reason.shaky === null
        ? `Clean all the way: start at ${here}.`
        : `Not clean at ${reason.shaky}: start at ${here}.`;
    case 'counting':
      return `${reason.clean} of ${rule.clean} clean at ${varied}${here}.`;
    case 'held':
      return `Last try ${reason.after}: ${varied}${here} again, ${rule.clean} clean to go on.`;
    case 'raised':
      return `${rule.clean} clean at ${reason.from}: now ${here}.`;
    case 'lowered':
      return `${rule.lost} lost in a row at ${reason.from}: back to ${here}.`;
    case 'varied':
      return state.variation
        ? `${capital(sayVariation(state.variation))}: ${reason.because}.`
        : `${capital(reason.because)}.`;
    case 'whole':
      return `All of it again, at ${here}.`;
    case 'moved':
      return `Your teacher put you at ${here}.`;
    case 'declined':
      return `Your teacher says: ${here} again.`;
    case 'asks':
      return state.proposal
        ? `${proposalText(state.proposal)} Your teacher decides.`
        : `${here} again.`;
    case 'passed':
      return reached(state, here);
    case 'kept':
      return state.lostInARow > 0 ? 'It slipped: play it again soon.' : reached(state, here);
    case 'slipped':
      return `It slipped: back on the ladder at ${here}.`;
  }
}

function reached({ rungs, rung }: LadderState, here: string): string {
  const says = rungAt(rungs, rung).stage ? `Done ${here}` : `Target ${here} reached`;
  return `${says}: keep it warm.`;
}

/** What is proposed and why, in one sentence. */
export function proposalText(proposal: Proposal): string {
  const why = proposal.because;
  switch (proposal.kind) {
    case 'advance':
      return `${capital(why)}: go on to ${proposal.to}.`;
    case 'lower':
      return `${capital(why)}: back to ${proposal.to}.`;
    case 'restore':
      return `${capital(why)}: all of it again.`;
    case 'simplify':
    case 'plateau':
    case 'twist':
      return `${capital(why)}: play ${sayVariation(proposal.variation)}.`;
  }
}

function capital(text: string): string {
  return text.slice(0, 1).toUpperCase() + text.slice(1);
}
