import { LIMBS, type Limb } from '../kit';
import type { Stroke } from '../pattern';
import { barTicks, beats, gcd, metricalWeight, syncopatedNotes, type Meter } from '../time';
import { strokesOf } from './instants';
import { once } from './keep';

/** How strongly one limb plays against the meter. */
export interface Syncopation {
  readonly limb: Limb;
  /** Sum over one cycle; 0 is none. */
  readonly value: number;
  /** Each note that a stronger place follows in silence. */
  readonly places: ReturnType<typeof syncopatedNotes>;
}

/** Syncopation after Longuet-Higgins & Lee 1984: every place has a metrical weight, 0 at the bar and
 * one less at each level below. A note that lasts over a heavier place is syncopated by the
 * difference. Taken cyclically, a limb at a time.
 * @returns limbs that play, in limb order
 * @example `x--x--x---x-x---` in 16ths: slots 3 over 4 and 6 over 8 // => 2 + 2 */
export const syncopationOf = once((exercise): readonly Syncopation[] => {
  const { meter, cycleTicks } = exercise;
  const beat = beats(meter)[0]?.ticks ?? cycleTicks;
  const found: Syncopation[] = [];
  for (const limb of LIMBS) {
    const notes = placesOf(strokesOf(exercise, limb));
    if (notes.length === 0) continue;
    let slot: number = beat;
    for (const at of notes) slot = gcd(slot, at);
    const places = syncopatedNotes(notes, cycleTicks, slot, meter);
    found.push({ limb, places, value: places.reduce((sum, one) => sum + one.value, 0) });
  }
  return found;
});

/** Written places, each once, rising. */
function placesOf(strokes: readonly Stroke[]): readonly number[] {
  const places: number[] = [];
  let sorted = true;
  for (const { at } of strokes) {
    const last = places.at(-1) ?? -1;
    if (at === last) continue;
    sorted &&= at > last;
    places.push(at);
  }
  return sorted ? places : [...new Set(places)].sort((a, b) => a - b);
}

/** How far a rhythm lies from the strongest one of as many notes: the sum of the heaviest places less
 * the sum of its own, 1 for the lightest place of the grid. After Toussaint 2002, “A mathematical
 * analysis of African, Brazilian and Cuban clave rhythms”.
 * @param notes slots of one bar  @param slotTicks length of a slot
 * @example son clave `x--x--x---x-x---` // => 4 */
export function metricalComplexity(
  notes: readonly number[],
  slotTicks: number,
  meter: Meter,
): number {
  const weights = Array.from({ length: barTicks(meter) / slotTicks }, (_, slot) =>
    metricalWeight(slot * slotTicks, meter),
  );
  const lightest = Math.min(...weights);
  const scaled = weights.map((weight) => weight - lightest + 1);
  const heaviest = [...scaled].sort((a, b) => b - a).slice(0, notes.length);
  const sum = (values: readonly number[]) => values.reduce((total, one) => total + one, 0);
  return sum(heaviest) - sum(notes.map((slot) => scaled[slot] ?? 0));
}
