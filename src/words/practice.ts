import type {
  Because,
  Dosage,
  Manner,
  Proposal,
  RungFacts,
  SimplerBecause,
  Why,
} from '@/core/ladder';
import { isTwist, type SufferingId, type Variation, type Verdict } from '@/core/log';
import type { Need } from '@/core/roster';
import type { BreakWarning, Difference } from '@/core/studio';
import { sayLimb, sayVoice } from './kit';
import { sayPlace, sayStepPlace, sayWeakPlace } from './place';
import { asStart, type Say } from './say';

export function sayVerdict({ t }: Say, verdict: Verdict | null): string {
  return t(`practice.verdict.${verdict ?? 'open'}`);
}

export function saySuffering({ t }: Say, what: SufferingId): string {
  return t(`practice.suffering.${what}`);
}

/** @example { kind: 'hold', bpm: 70, minutes: 4 } // => '70 for 4 min' */
export function sayRung(say: Say, rung: RungFacts): string {
  const { t } = say;
  switch (rung.kind) {
    case 'tempo':
      return t('practice.rung.tempo', { bpm: rung.bpm });
    case 'hold':
      return t('practice.rung.hold', { bpm: rung.bpm, minutes: rung.minutes });
    case 'ramp': {
      const { start, target, step, every } = rung;
      return t('practice.rung.ramp', { start, target, step: signed(step), every });
    }
    case 'manner':
      return t('practice.rung.step', { name: sayManner(say, rung.manner), bpm: rung.bpm ?? 0 });
    case 'step':
      return t('practice.rung.step', { name: rung.name, bpm: rung.bpm ?? 0 });
  }
}

/** A way in which the same thing is played otherwise. @example 'without a click' */
export function sayManner({ t }: Say, manner: Manner): string {
  return t(`practice.manner.${manner}`);
}

/** @example sayDosage(ENGLISH, { kind: 'minutes', amount: 5 }) // => '5 minutes' */
export function sayDosage({ t }: Say, { kind, amount }: Dosage): string {
  return t(`practice.dosage.${kind}`, { amount });
}

/** @example signed(-5) // => '−5' */
export function signed(step: number): string {
  return step > 0 ? `+${step}` : `−${Math.abs(step)}`;
}

/** @example sayVariation(ENGLISH, { kind: 'half', half: 'first' }) // => 'the first half' */
export function sayVariation(say: Say, variation: Variation): string {
  const { t, notes } = say;
  switch (variation.kind) {
    case 'without':
      return t('practice.variation.without', {
        limb: sayLimb(say, variation.plays),
        voice: sayVoice(say, variation.voice),
      });
    case 'bridge': {
      const { meter, from, to, says } = variation;
      const place = meter ? sayStepPlace(say, { meter, bar: null, from, to }) : (says ?? '');
      return t('practice.variation.bridge', { place });
    }
    case 'half':
      return t('practice.variation.half', { half: variation.half });
    case 'plain':
      return t('practice.variation.plain');
    case 'displaced':
      return t('practice.variation.displaced', { sixteenth: t(`notes.${notes}.sixteenth`) });
    case 'other-lead':
      return t('practice.variation.other-lead');
    case 'surface':
      return t('practice.variation.surface', {
        from: sayVoice(say, variation.from),
        to: sayVoice(say, variation.to),
      });
    case 'more':
      return t('practice.variation.more', {
        voice: sayVoice(say, variation.voice),
        place: sayPlace(say, variation.at, variation.meter),
      });
  }
}

function sayFact({ t }: Say, fact: SimplerBecause): string {
  if (fact.code === 'nothing-named') return t('practice.fact.nothing-named');
  return t(`practice.fact.${fact.code}`, { times: fact.times });
}

function sayBecause(say: Say, because: Because): string {
  const { t } = say;
  switch (because.code) {
    case 'clean':
      return t(because.without ? 'practice.because.clean-without' : 'practice.because.clean', {
        times: because.times,
      });
    case 'target-spotless':
      return t('practice.because.target-spotless');
    case 'rungs-spotless':
      return t('practice.because.rungs-spotless', { rungs: because.rungs });
    case 'lost':
      return t('practice.because.lost', { times: because.times });
    case 'lost-at-bottom':
      return t('practice.because.lost-at-bottom', {
        times: because.times,
        fact: sayFact(say, because.fact),
      });
    case 'no-gain':
      return t('practice.because.no-gain', {
        days: because.days,
        fact: sayFact(say, because.fact),
      });
    case 'teacher':
      return t('practice.because.teacher');
  }
}

/** Why a ladder stands where it stands, in one short sentence. */
export function sayWhy(say: Say, why: Why): string {
  const { t } = say;
  if (why.kind === 'cannot-be-varied') return t('practice.reason.cannot-be-varied');
  const { reason, rule, variation, proposal } = why;
  const here = sayRung(say, why.here);
  const { clean, of, lost } = rule;
  const asked = t('practice.reason.asked', { clean, of: of ?? 0 });
  const varied = variation && sayVariation(say, variation);
  switch (reason.kind) {
    case 'start':
      return t('practice.reason.start', { asked });
    case 'climbing':
      return t('practice.reason.climbing', { here });
    case 'found':
      return reason.shaky === null
        ? t('practice.reason.found', { here })
        : t('practice.reason.foundShaky', { shaky: sayRung(say, reason.shaky), here });
    case 'counting': {
      const count = { clean: reason.clean, of: clean, last: of ?? 0, here };
      return varied
        ? t('practice.reason.countingVaried', { ...count, variation: varied })
        : t('practice.reason.counting', count);
    }
    case 'held': {
      const verdicts = { lost: sayVerdict(say, 'lost'), shaky: sayVerdict(say, 'shaky') };
      const held = { after: reason.after, ...verdicts, here, asked };
      return varied
        ? t('practice.reason.heldVaried', { ...held, variation: varied })
        : t('practice.reason.held', held);
    }
    case 'raised':
      return t('practice.reason.raised', { asked, from: sayRung(say, reason.from), here });
    case 'lowered':
      return t('practice.reason.lowered', { lost, from: sayRung(say, reason.from), here });
    case 'varied': {
      const because = sayBecause(say, reason.because);
      if (!varied) return `${asStart(say, because)}.`;
      return t('practice.reason.varied', { variation: asStart(say, varied), because });
    }
    case 'head-start':
      return t('practice.reason.headStart', { here });
    case 'whole':
      return t('practice.reason.whole', { here });
    case 'moved':
      return t('practice.reason.moved', { here });
    case 'declined':
      return t('practice.reason.declined', { here });
    case 'asks':
      return proposal
        ? t('practice.reason.asks', { proposal: sayProposal(say, proposal) })
        : t('practice.reason.again', { here });
    case 'kept':
      return reason.slipping ? t('practice.reason.slipping') : sayPassed(say, why.here);
    case 'passed':
      return sayPassed(say, why.here);
    case 'slipped':
      return t('practice.reason.slipped', { here });
    case 'away': {
      const from = sayRung(say, reason.from);
      const { days } = reason;
      return from === here
        ? t('practice.reason.awayHere', { days, here })
        : t('practice.reason.away', { days, from, here });
    }
  }
}

/** The same for the student: what to play, why it is not all of it, and what brings that back; not what the teacher
 * weighs. */
export function sayWhyToStudent(say: Say, why: Why): string {
  if (why.kind === 'cannot-be-varied') return sayWhy(say, why);
  const { t } = say;
  const { reason, rule, waits, variation, proposal } = why;
  const here = sayRung(say, why.here);
  const isSimpler = proposal?.kind === 'simplify' || proposal?.kind === 'plateau';
  switch (reason.kind) {
    case 'varied': {
      if (!variation) return sayWhy(say, why);
      const because = sayBecause(say, reason.because);
      const varied = { variation: asStart(say, sayVariation(say, variation)), here, because };
      const asked = t('practice.reason.asked', { clean: rule.clean, of: rule.of ?? 0 });
      return isTwist(variation)
        ? t('practice.reason.twistForNow', varied)
        : t('practice.reason.variedForNow', { ...varied, asked, waits: waits ? 'yes' : 'no' });
    }
    case 'asks':
      if (isSimpler) return t('practice.reason.asksForNow', { here });
      return proposal
        ? t('practice.reason.asksYou', { proposal: sayProposal(say, proposal) })
        : sayWhy(say, why);
    case 'moved':
      return t('practice.reason.movedYou', { here });
    case 'declined':
      return t('practice.reason.declinedYou', { here });
    default:
      return sayWhy(say, why);
  }
}

function sayPassed(say: Say, rung: RungFacts): string {
  const stage = rung.kind === 'manner' || rung.kind === 'step';
  const key = stage ? 'practice.reason.passedStage' : 'practice.reason.passed';
  return say.t(key, { here: sayRung(say, rung) });
}

/** What is proposed and why, in one sentence. */
export function sayProposal(say: Say, proposal: Proposal): string {
  return asStart(say, sayProposed(say, proposal));
}

function sayProposed(say: Say, proposal: Proposal): string {
  const { t } = say;
  const because = sayBecause(say, proposal.because);
  switch (proposal.kind) {
    case 'advance':
      return t('practice.proposal.advance', { because, to: sayRung(say, proposal.to) });
    case 'lower':
      return t('practice.proposal.lower', { because, to: sayRung(say, proposal.to) });
    case 'restore':
      return t('practice.proposal.restore', { because });
    case 'simplify':
    case 'plateau':
    case 'twist':
      return t('practice.proposal.vary', {
        because,
        variation: sayVariation(say, proposal.variation),
      });
  }
}

/** Why a student needs the teacher, in one sentence or two. */
export function sayNeed(say: Say, need: Need): string {
  const { t } = say;
  const said = sayNeedOf(say, need);
  return 'breaksAt' in need && need.breaksAt
    ? t('practice.need.breaks', { need: said, place: sayWeakPlace(say, need.breaksAt) })
    : said;
}

function sayNeedOf(say: Say, need: Need): string {
  const { t } = say;
  switch (need.code) {
    case 'plateau': {
      const { name, days } = need;
      const variation = sayVariation(say, need.variation);
      return t('practice.need.plateau', { name, here: sayRung(say, need.here), days, variation });
    }
    case 'proposal':
      return t('practice.need.about', { name: need.name, what: sayProposed(say, need.proposal) });
    case 'simpler':
      return t('practice.need.simpler', { name: need.name, here: sayRung(say, need.here) });
    case 'not-clean': {
      const { name, bad, of } = need;
      return t('practice.need.not-clean', { name, bad, of, here: sayRung(say, need.here) });
    }
    case 'no-program':
      return t('practice.need.no-program');
    case 'all-passed':
      return t('practice.need.all-passed');
    case 'away':
      return t('practice.need.away', { days: need.days });
  }
}

/** What a student plays otherwise than it is written. @example 'pad for snare' */
export function sayDifference(say: Say, difference: Difference): string {
  const { t } = say;
  switch (difference.kind) {
    case 'unplayable':
      return t('practice.difference.unplayable');
    case 'handedness':
      return difference.handedness === 'right'
        ? ''
        : t(`practice.difference.${difference.handedness}`);
    case 'no-voice':
      return t('practice.difference.no-voice', { voice: sayVoice(say, difference.voice) });
    case 'voice-for':
      return t('practice.difference.voice-for', {
        voice: sayVoice(say, difference.voice),
        by: sayVoice(say, difference.by),
      });
  }
}

/** A crossing that broke before. @example '3 → &, right hand → left foot: broke in 4 of 12' */
export function sayWarning(say: Say, warning: BreakWarning): string {
  const { breaks, tries } = warning;
  return say.t('practice.warning', { place: sayWeakPlace(say, warning), breaks, tries });
}
