import type { Limb } from '@/core/kit';
import type { Call, ClickMode, ClickSound, ScoreChange } from '@/core/playing';
import { sayLimb } from './kit';
import type { Say } from './say';

/** Where the click sounds. @example '2 and 4' */
export function sayClickMode({ t }: Say, mode: ClickMode): string {
  return t(`playing.click.${mode}`);
}

export function sayClickSound({ t }: Say, sound: ClickSound): string {
  return t(`playing.sound.${sound}`);
}

/** @example sayCall(ENGLISH, 2) // => 'bar 3' */
export function sayCall({ t }: Say, call: Call): string {
  return call === 'own' ? t('playing.own') : t('playing.bar', { bar: call + 1 });
}

/** What begins in a bar. @example '65, click out' */
export function sayChanges(say: Say, changes: readonly ScoreChange[]): string {
  return changes.map((one) => sayScoreChange(say, one)).join(', ');
}

function sayScoreChange(say: Say, change: ScoreChange): string {
  const { t } = say;
  switch (change.kind) {
    case 'call':
      return sayCall(say, change.call);
    case 'part':
      return change.name || t('playing.top');
    case 'tempo':
      return String(change.bpm);
    case 'click':
      return change.out ? t('playing.clickOut') : t('playing.clickIn');
  }
}

/** The limb that an answer names, or that none was named. */
export function sayAnyLimb(say: Say, limb: Limb | null): string {
  return limb === null ? say.t('playing.anyLimb') : sayLimb(say, limb);
}
