import { TICKS_PER_QUARTER, type Feel, type SubdivisionId, type Tempo } from '@/core/time';
import type { Say } from './say';

/** Equal slots, in the studio’s own note names. @example saySubdivision(ENGLISH, '16') // => '16ths' */
export function saySubdivision({ t, notes }: Say, id: SubdivisionId): string {
  return t(`notes.${notes}.grid.${id}`);
}

const NAMED = ['4', '8', '8t', '16', '16t', '32'] as const;
type Named = (typeof NAMED)[number];

/** One slot of a grid. @example saySlot(ENGLISH, '16') // => '16th'; '9' // => 'slot of nine to the beat' */
export function saySlot(say: Say, id: SubdivisionId): string {
  const named = NAMED.find((one) => one === id);
  return named ? sayNote(say, named) : say.t('notes.slotOf', { grid: saySubdivision(say, id) });
}

/** @example sayNote(ENGLISH, '8') // => '8th' */
export function sayNote({ t, notes }: Say, value: Named): string {
  return t(`notes.${notes}.one.${value}`);
}

/** @example saySixteenths(ENGLISH) // => '16ths' */
export function saySixteenths(say: Say): string {
  return saySubdivision(say, '16');
}

/** @example sayFeel(ENGLISH, { kind: 'swung', long: 2, short: 1 }) // => 'swung 2:1' */
export function sayFeel({ t }: Say, feel: Feel): string {
  switch (feel.kind) {
    case 'straight':
      return t('notes.feel.straight');
    case 'triplets':
      return t('notes.feel.triplets');
    case 'swung':
      return t('notes.feel.swung', { long: feel.long, short: feel.short });
  }
}

/** The note that a tempo counts. @example sayTempoNote(ENGLISH, { beatTicks: quarters(3, 2) }) // => 'dotted quarter' */
export function sayTempoNote(say: Say, { beatTicks }: Pick<Tempo, 'beatTicks'>): string {
  const { t, notes } = say;
  switch (beatTicks / TICKS_PER_QUARTER) {
    case 0.5:
      return sayNote(say, '8');
    case 1:
      return sayNote(say, '4');
    case 1.5:
      return t('notes.tempo.dotted', { quarter: sayNote(say, '4') });
    case 2:
      return t(`notes.${notes}.half`);
    default:
      return t('notes.tempo.several', {
        count: beatTicks / TICKS_PER_QUARTER,
        quarters: saySubdivision(say, '4'),
      });
  }
}
