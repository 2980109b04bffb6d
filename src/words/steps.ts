import type { VoiceId } from '@/core/kit';
import type { Neighbour, StepFacts, StepKind } from '@/core/path';
import { type Exercise } from '@/core/recipe';
import { sayPlaceIn } from './place';
import { sayLimb, sayLimbs, sayVoice } from './kit';
import { sayList, type Say } from './say';

/** What a kind of steps is called. */
export function sayStepKind({ t }: Say, kind: StepKind): string {
  return t(`steps.kind.${kind}`);
}

/** What a step plays. @example 'right hand and left foot', 'the first half' */
export function sayStep(say: Say, facts: StepFacts): string {
  const { t, notes } = say;
  switch (facts.plays) {
    case 'limbs':
      return facts.voices
        ? sayList(
            say,
            facts.voices.map((voice) => sayStepVoice(say, voice)),
          )
        : sayLimbs(say, facts.limbs);
    case 'without':
      return t('steps.plays.without', {
        what: facts.voice ? sayStepVoice(say, facts.voice) : sayLimb(say, facts.limb),
      });
    case 'side':
      return t('steps.plays.side', {
        side: facts.side,
        with: facts.with,
        limb: facts.limb ? sayLimb(say, facts.limb) : '',
      });
    case 'part':
      return t('steps.plays.part', {
        part: facts.part,
        named: facts.name === '' ? 'no' : 'yes',
        name: facts.name,
        untimed: facts.untimed ? 'yes' : 'no',
      });
    case 'joined':
      return t('steps.plays.joined', { parts: facts.parts });
    case 'graces':
      return facts.slot === '8t'
        ? t('steps.plays.gracesTriplets')
        : t('steps.plays.graces16ths', { sixteenths: t(`notes.${notes}.sixteenths`) });
    case 'nth':
      return facts.count === 0
        ? t('steps.plays.nthNone')
        : t('steps.plays.nth', { count: facts.count, of: facts.of });
    case 'share':
      return t('steps.plays.share', { limb: sayLimb(say, facts.limb) });
    case 'half':
      return t('steps.plays.half', { half: facts.half });
    default:
      return t(`steps.plays.${facts.plays}`);
  }
}

/** A voice among others: what is not open needs no word for it. */
function sayStepVoice(say: Say, voice: VoiceId): string {
  return voice === 'hat' ? say.t('steps.hat') : sayVoice(say, voice);
}

/** How an exercise that is one note away differs. @example 'bass drum added on & of 2' */
export function sayNeighbour(say: Say, neighbour: Neighbour, exercise: Exercise): string {
  const place = (at: number | null) => sayPlaceIn(say, at ?? 0, exercise);
  return say.t(`steps.note.${neighbour.kind}`, {
    voice: sayVoice(say, neighbour.voice),
    from: place(neighbour.from),
    to: place(neighbour.to),
  });
}
