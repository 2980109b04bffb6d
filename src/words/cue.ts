import type { Cue } from '@/core/analysis';
import type { Limb } from '@/core/kit';
import type { CueLine } from '@/core/progress';
import { sayLimb, sayLimbs } from './kit';
import { sayPlace } from './place';
import type { Say } from './say';
import { saySubdivision } from './time';

/** One thing to watch for. @param meter as `4/4` */
export function sayCue(say: Say, cue: Cue, meter: string): string {
  const { t } = say;
  switch (cue.kind) {
    case 'opens':
    case 'accent':
      return t(`readback.cue.${cue.kind}`, { at: sayPlace(say, cue.at, meter) });
    case 'hat':
      return t('readback.cue.hat', {
        at: sayPlace(say, cue.at, meter),
        closes: sayPlace(say, cue.closes, meter),
      });
    case 'seam':
      return t('readback.cue.seam', { limb: sayLimb(say, cue.limb) });
    case 'follow': {
      const { foot, hand } = cue;
      return t('readback.cue.follow', { foot: sayLimb(say, foot), hand: sayLimb(say, hand) });
    }
    case 'return': {
      const [slot, was] = [cue.slot, cue.was].map((one) =>
        one === null ? t('readback.cue.slots') : saySubdivision(say, one),
      );
      return t('readback.cue.return', {
        at: sayPlace(say, cue.at, meter),
        slot: slot ?? '',
        was: was ?? '',
      });
    }
    case 'unison': {
      const limbs = sayLimbs(say, cue.limbs);
      return cue.at === null
        ? t('readback.cue.unison', { limbs })
        : t('readback.cue.unisonOnce', { limbs, at: sayPlace(say, cue.at, meter) });
    }
    case 'graces':
      return t('readback.cue.graces');
    case 'bare':
      return t('readback.cue.bare', { beats: cue.beats, at: sayPlace(say, cue.at, meter) });
  }
}

/** A cue as it stands at the kit: the teacher's own words, or what was found. */
export function sayCueLine(say: Say, cue: CueLine, meter: string): string {
  return cue.kind === 'own' ? cue.text : sayCue(say, cue, meter);
}

/** Whether a cue is about a limb: what was found names its limbs; a teacher's words may. */
export function isCueAbout(say: Say, cue: CueLine, limb: Limb): boolean {
  switch (cue.kind) {
    case 'own':
      return cue.text.toLocaleLowerCase(say.locale).includes(sayLimb(say, limb));
    case 'seam':
    case 'accent':
      return cue.limb === limb;
    case 'follow':
      return cue.foot === limb || cue.hand === limb;
    case 'unison':
      return cue.limbs.includes(limb);
    default:
      return false;
  }
}
