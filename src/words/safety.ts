import type { Dose, InARow, Load, Protection } from '@/core/safety';
import { sayLimb } from './kit';
import type { Say } from './say';

/** The caution that stands wherever time, tempo or load is set. */
export function sayCaution({ t }: Say): string {
  return [t('plan.safety.hearing'), t('plan.safety.breaks'), t('plan.safety.pain')].join(' ');
}

/** @example 'The right foot plays 8.0 a second at 120, above 6: short tries, with breaks; stop on pain.' */
export function sayLoad(say: Say, { limb, perSecond, limit }: Load, bpm: number): string {
  return say.t('plan.safety.load', { limb: sayLimb(say, limb), perSecond, bpm, limit });
}

/** @example 'The right foot works 12 min in a row, 2,880 strokes: rest it in between; stop on pain.' */
export function sayInARow(say: Say, { limb, seconds, strokes }: InARow): string {
  const minutes = Math.round(seconds / 60);
  return say.t('plan.safety.in-a-row', { limb: sayLimb(say, limb), minutes, strokes });
}

/** A day's noise where it is too much. */
export function sayDose({ t }: Say, dose: Dose): string {
  return t('plan.safety.dose', {
    minutes: Math.round(dose.minutes),
    level: Math.round(dose.dba),
    times: dose.percent / 100,
    allowed: Math.floor(dose.allowedMinutes),
    protected: dose.protected ? 'yes' : 'no',
    pad: Math.round(dose.pad?.minutes ?? 0),
    padLevel: Math.round(dose.pad?.dba ?? 0),
    over: dose.ceiling === null ? 'no' : 'yes',
    ceiling: dose.ceiling ?? 0,
  });
}

export function sayProtection({ t }: Say, protection: Protection): string {
  return t(`plan.protection.${protection}`);
}
