import type { Cue } from '@/core/analysis';
import { must } from '@/core/issue';
import { barTicks, parseMeter } from '@/core/time';
import type { Limb } from '@/core/kit';
import type { CueLine } from '@/core/progress';
import { sayLimb, sayLimbs } from './kit';
import { sayCount } from './place';
import type { Say } from './say';
import { saySubdivision } from './time';

/** A place of the cycle; with its bar from the second on. @param meter as `4/4` */
function placeOf(say: Say, at: number, meter: string): string {
  const read = must(parseMeter(meter));
  const bar = Math.floor(at / barTicks(read)) + 1;
  const place = sayCount(say, at, read);
  return bar === 1 ? place : say.t('readback.cue.inBar', { bar, place });
}

/** One thing to watch for. @param meter as `4/4` */
export function sayCue(say: Say, cue: Cue, meter: string): string {
  const { t } = say;
  switch (cue.kind) {
    case 'feather':
      return t('readback.cue.feather', { at: placeOf(say, cue.at, meter) });
    case 'running':
      return cue.hand === null
        ? t('readback.cue.runningAlone', { at: placeOf(say, cue.at, meter) })
        : t('readback.cue.running', {
            at: placeOf(say, cue.at, meter),
            hand: sayLimb(say, cue.hand),
          });
    case 'loose':
      return t('readback.cue.loose', {
        at: placeOf(say, cue.at, meter),
        limb: sayLimb(say, cue.limb),
        accents: cue.accents ? 'yes' : 'no',
      });
    case 'after':
      return t('readback.cue.after', {
        at: placeOf(say, cue.at, meter),
        limb: sayLimb(say, cue.limb),
      });
    case 'tension':
      return t('readback.cue.tension', {
        limb: sayLimb(say, cue.limb),
        rate: Math.round(cue.rate * 10) / 10,
      });
    case 'opens':
    case 'accent':
      return t(`readback.cue.${cue.kind}`, { at: placeOf(say, cue.at, meter) });
    case 'hat':
      return t('readback.cue.hat', {
        at: placeOf(say, cue.at, meter),
        closes: placeOf(say, cue.closes, meter),
      });
    case 'seam':
      return t('readback.cue.seam', { limb: sayLimb(say, cue.limb) });
    case 'follow': {
      const [foot, hand] = [sayLimb(say, cue.foot), sayLimb(say, cue.hand)];
      return t('readback.cue.follow', { foot, hand, at: placeOf(say, cue.at, meter) });
    }
    case 'spoken': {
      const [one, other] = cue.limbs;
      const [first, second] = cue.counts;
      return t('readback.cue.spoken', {
        ...{ said: cue.said, at: placeOf(say, cue.at, meter), first, second },
        ...{ limb: sayLimb(say, one), against: sayLimb(say, other) },
      });
    }
    case 'ghosts':
      return t('readback.cue.ghosts', {
        limb: sayLimb(say, cue.limb),
        at: placeOf(say, cue.at, meter),
      });
    case 'return': {
      const [slot, was] = [cue.slot, cue.was].map((one) =>
        one === null ? t('readback.cue.slots') : saySubdivision(say, one),
      );
      return t('readback.cue.return', {
        at: placeOf(say, cue.at, meter),
        slot: slot ?? '',
        was: was ?? '',
      });
    }
    case 'unison':
      return t('readback.cue.unison', {
        limbs: sayLimbs(say, cue.limbs),
        at: placeOf(say, cue.at, meter),
        times: cue.times,
      });
    case 'graces':
      return t('readback.cue.graces');
    case 'bare':
      return t('readback.cue.bare', { beats: cue.beats, at: placeOf(say, cue.at, meter) });
  }
}

/** A cue as it stands at the kit: the teacher's own words, or what was found. */
export function sayCueLine(say: Say, cue: CueLine, meter: string): string {
  switch (cue.kind) {
    case 'own':
      return cue.text;
    case 'broke': {
      const { at, times } = cue;
      return say.t('readback.cue.broke', { at: placeOf(say, at, meter), times });
    }
    default:
      return sayCue(say, cue, meter);
  }
}

/** Whether a cue is about a limb: what was found names its limbs; a teacher's words may. */
export function isCueAbout(say: Say, cue: CueLine, limb: Limb): boolean {
  switch (cue.kind) {
    case 'own':
      return cue.text.toLocaleLowerCase(say.locale).includes(sayLimb(say, limb));
    case 'seam':
    case 'accent':
    case 'after':
    case 'loose':
    case 'tension':
    case 'ghosts':
      return cue.limb === limb;
    case 'follow':
      return cue.foot === limb || cue.hand === limb;
    case 'unison':
    case 'spoken':
      return cue.limbs.includes(limb);
    default:
      return false;
  }
}
