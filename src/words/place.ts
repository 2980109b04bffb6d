import { type Band, type Crossing, type StepPlace } from '@/core/breaks';
import { must } from '@/core/issue';
import type { Exercise } from '@/core/recipe';
import { beatOf, beats, type Meter, parseMeter, quarters } from '@/core/time';
import { sayLimbs } from './kit';
import type { Say } from './say';

/** A place in a bar said in full, with the beat it belongs to. @example '3', '& of 2', 'let of 4' */
export function sayCount(say: Say, at: number, meter: Meter): string {
  const { beat, mark } = beatOf(at, meter, say.syllables);
  return mark === null ? String(beat) : say.t('notes.markOf', { mark, beat });
}

/** A place of an exercise as it is counted, with its bar where there are several.
 * @param at ticks from the start of the cycle  @example '2: & of 3' */
export function sayPlaceIn(
  say: Say,
  at: number,
  { meter, bars, barTicks }: Pick<Exercise, 'meter' | 'bars' | 'barTicks'>,
): string {
  const place = sayCount(say, at, meter);
  return bars === 1 ? place : say.t('notes.inBar', { bar: Math.floor(at / barTicks) + 1, place });
}

/** The same where the meter is text. @param meter as `4/4` */
export function sayPlace(say: Say, at: number, meter: string): string {
  return sayCount(say, at, must(parseMeter(meter)));
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

/** How fast one event follows another. @example sayBand(ENGLISH, { from: 150, to: 220 }) // => '150–220 ms' */
export function sayBand({ t }: Say, { from, to }: Band): string {
  if (from === null) return t('practice.band.under', { to: to ?? 0 });
  return to === null ? t('practice.band.over', { from }) : t('practice.band.between', { from, to });
}
