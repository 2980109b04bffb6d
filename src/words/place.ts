import type { Crossing, StepPlace } from '@/core/breaks';
import { must } from '@/core/issue';
import type { Exercise } from '@/core/recipe';
import {
  beats,
  countName,
  noteWords,
  parseMeter,
  quarters,
  subdivision,
  type SubdivisionId,
} from '@/core/time';
import { sayLimbs } from './kit';
import type { Say } from './say';

/** A place in a bar as it is counted. @param meter as `4/4`  @example sayCount(ENGLISH, 10080, '4/4') // => '&' */
export function sayPlace({ syllables }: Say, at: number, meter: string): string {
  return countName(at, must(parseMeter(meter)), syllables);
}

/** From one event to the next. @example '3 → &', over several bars 'bar 2, 3 → &' */
export function sayStepPlace(say: Say, { meter, bar, from, to }: StepPlace): string {
  const ends = { from: sayPlace(say, from, meter), to: sayPlace(say, to, meter) };
  return bar === null
    ? say.t('practice.place.step', ends)
    : say.t('practice.place.stepInBar', { bar, ...ends });
}

/** @example 'right hand and right foot → left foot' */
export function sayCrossing(say: Say, { from, to }: Pick<Crossing, 'from' | 'to'>): string {
  return say.t('practice.place.crossing', { from: sayLimbs(say, from), to: sayLimbs(say, to) });
}

/** A place at which limbs cross. @example '3 → &, right hand → left foot' */
export function sayWeakPlace(
  say: Say,
  { place, from, to }: Pick<Crossing, 'from' | 'to'> & { readonly place: StepPlace },
): string {
  return say.t('practice.place.weak', {
    place: sayStepPlace(say, place),
    crossing: sayCrossing(say, { from, to }),
  });
}

/** A felt beat of the cycle. @param index from 0
 * @example sayBeat(ENGLISH, exercise, 6) // => 'bar 2, beat 3'; in a single bar 'beat 3' */
export function sayBeat(
  say: Say,
  { meter, bars }: Pick<Exercise, 'meter' | 'bars'>,
  index: number,
) {
  const perBar = beats(meter).length;
  const beat = (index % perBar) + 1;
  if (bars === 1) return say.t('practice.place.beat', { beat });
  return say.t('practice.place.beatInBar', { bar: Math.floor(index / perBar) + 1, beat });
}

/** A grid by its name, in the studio's own. @example saySubdivision(british, '16') // => 'semiquavers' */
export function saySubdivision({ notes }: Say, id: SubdivisionId): string {
  return noteWords(subdivision(id).name, notes);
}

/** A length in whole quarters, 8ths, 16ths or 32nds, whichever is whole; else in parts of a quarter.
 * @param ticks >= 0  @example sayLength(ENGLISH, quarters(3, 2)) // => '3 8ths' */
export function sayLength({ t, notes }: Say, ticks: number): string {
  for (const base of [4, 8, 16, 32] as const) {
    const count = ticks / quarters(4, base);
    if (Number.isInteger(count)) return t(`notes.${notes}.${base}`, { count });
  }
  const count = Math.round((ticks / quarters(1)) * 100) / 100;
  return t(`notes.${notes}.4`, { count });
}
/** @example sayNote(ENGLISH, '8') // => '8th' */
export function sayNote({ t, notes }: Say, value: '4' | '8' | '16'): string {
  return t(`notes.${notes}.note${value}`);
}

/** @example saySixteenths(ENGLISH) // => '16ths' */
export function saySixteenths({ t, notes }: Say): string {
  return t(`notes.${notes}.sixteenths`);
}
