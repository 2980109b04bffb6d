import type { Noise } from './noise-schema';
import { PROTECTIONS } from './data';

export type Protection = (typeof PROTECTIONS)[number];

/** A kit at the player's ear is about 100 dBA, a pad about 75; common practice, no source: measure. */
export const USUAL_NOISE: Noise = { kit: 100, pad: 75, protection: 'none', label: 25 };

/** Recommended limit and exchange rate: 85 dBA for 8 hours, half the time for every 3 dB (NIOSH
 * 98-126, 1.1.1 and table 1-1). */
const LIMIT_DBA = 85;

const EXCHANGE_DB = 3;

const LIMIT_MINUTES = 480;

/** Minutes a day that a level is allowed for: T = 480 / 2^((L − 85) / 3), NIOSH 98-126, section 1.1.
 * @param dba level at the ear, in dBA
 * @example allowedMinutes(100) // => 15 */
export function allowedMinutes(dba: number): number {
  return LIMIT_MINUTES / 2 ** ((dba - LIMIT_DBA) / EXCHANGE_DB);
}

/** Labels promise more than ears get: NIOSH 98-126, section 6 takes a quarter off for earmuffs, half for
 * foam plugs, 70 % for other plugs; and 7 dB where the level is A-weighted (from memory). */
const KEPT_OF_LABEL: Readonly<Record<Protection, number>> = {
  none: 0,
  foam: 0.5,
  plugs: 0.3,
  muffs: 0.75,
};

const A_WEIGHTED_DB = 7;

/** What protection takes off a level in dBA, in dB.
 * @example reductionDb({ protection: 'muffs', label: 28 }) // => 14 */
export function reductionDb({ protection, label }: Pick<Noise, 'protection' | 'label'>): number {
  return Math.max(0, label * KEPT_OF_LABEL[protection] - A_WEIGHTED_DB);
}

/** Less does not count. */
const COUNTED_FROM_DBA = 80;

/** A day's dose in percent of what is allowed: 100 · Σ minutes / allowed minutes; below 80 dBA nothing
 * counts (NIOSH 98-126, section 1.1.3).
 * @example 15 minutes at 100 dBA // => 100 */
export function noiseDose(
  parts: readonly { readonly dba: number; readonly minutes: number }[],
): number {
  const counted = parts.filter(({ dba }) => dba >= COUNTED_FROM_DBA);
  return 100 * counted.reduce((sum, { dba, minutes }) => sum + minutes / allowedMinutes(dba), 0);
}

/** A day at the kit and on the pad, behind what protects the ears.
 * @param minutes of playing, by surface  @returns percent of what is allowed */
export function dayDose(
  minutes: { readonly kit: number; readonly pad: number },
  noise: Noise,
): number {
  const off = reductionDb(noise);
  return noiseDose([
    { dba: noise.kit - off, minutes: minutes.kit },
    { dba: noise.pad - off, minutes: minutes.pad },
  ]);
}

/** No unprotected ear should be in more, for any time. From memory, and to be looked up: 29 CFR 1910.95 ends its table
 * at 115 dBA; NIOSH 98-126 counts on to 140 dBA, and leaves 28 seconds a day at 115. */
const CEILING_DBA = 115;

/** A day's noise that is more than allowed. */
export interface Dose {
  /** At the kit. */
  readonly minutes: number;
  /** What of it reaches the ear, in dBA. */
  readonly dba: number;
  /** On the pad, and what of that reaches the ear; counted where it is loud enough. */
  readonly pad: { readonly minutes: number; readonly dba: number } | null;
  /** In dBA, where it is louder than anything may be for any time. */
  readonly ceiling: number | null;
  /** Of what is allowed in a day. */
  readonly percent: number;
  /** Minutes a day that are allowed at this level. */
  readonly allowedMinutes: number;
  readonly protected: boolean;
}

/** A day's dose where it is more than allowed, or louder than ever allowed; null where it is not. */
export function overDose(
  minutes: { readonly kit: number; readonly pad: number },
  noise: Noise,
): Dose | null {
  const percent = dayDose(minutes, noise);
  const off = reductionDb(noise);
  const dba = noise.kit - off;
  const isOverCeiling = minutes.kit > 0 && dba > CEILING_DBA;
  if (percent <= 100 && !isOverCeiling) return null;
  const pad = { minutes: minutes.pad, dba: noise.pad - off };
  return {
    minutes: minutes.kit,
    dba,
    pad: pad.minutes > 0 && pad.dba >= COUNTED_FROM_DBA ? pad : null,
    ceiling: isOverCeiling ? CEILING_DBA : null,
    percent,
    allowedMinutes: allowedMinutes(dba),
    protected: noise.protection !== 'none',
  };
}
