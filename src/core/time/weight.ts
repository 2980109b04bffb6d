import { barTicks, beats, unitTicks, type Meter } from './meter';
import { wrap } from './tick';

/** Metrical weight of a place: 0 for the bar, −1 for its halves or groups, −2 for the beats, one
 * less for each halving or third below. After Longuet-Higgins & Lee 1984.
 * @param at ticks from the start; places beyond the bar wrap
 * @example the 16ths of 4/4 // => 0 -4 -3 -4 -2 -4 -3 -4 -1 -4 -3 -4 -2 -4 -3 -4 */
export function metricalWeight(at: number, meter: Meter): number {
  const place = wrap(at, barTicks(meter));
  let known = WEIGHTS.get(meter);
  if (!known) {
    known = new Map();
    WEIGHTS.set(meter, known);
  }
  let weight = known.get(place);
  if (weight === undefined) {
    weight = weigh(place, meter);
    known.set(place, weight);
  }
  return weight;
}

const WEIGHTS = new WeakMap<Meter, Map<number, number>>();

/** @param place ticks from the start of the bar */
function weigh(place: number, meter: Meter): number {
  const all = beats(meter);
  const bar = barTicks(meter);
  if (place === 0) return 0;
  const beat = all.find((one) => one.at === place);
  if (beat) return isStrong(place, meter) ? -1 : -2;
  const inside = all.findLast((one) => one.at <= place) ?? { at: 0, ticks: bar };
  let level = -2;
  let length: number = inside.ticks;
  let within = place - inside.at;
  while (within > 0) {
    level -= 1;
    length /= isThirds(within, length, meter) ? 3 : 2;
    within %= length;
  }
  return level;
}

/** Half bars of even meters, groups of the others. */
function isStrong(place: number, meter: Meter): boolean {
  const all = beats(meter);
  const half = all.length % 2 === 0 ? all[all.length / 2]?.at : undefined;
  return meter.grouping.length > 1 && all.length > 2
    ? all.some((beat) => beat.group && beat.at === place)
    : place === half;
}

/** A length is cut in three where it is a dotted beat, or where halves do not reach the place. */
function isThirds(within: number, length: number, meter: Meter): boolean {
  const dotted = meter.unit === 8 && length === 3 * unitTicks(meter);
  const triplet = (within * 3) % length === 0 && (within * 2) % length !== 0;
  return dotted || triplet;
}

/** What a rhythm of one line does against the meter: for each note that lasts over a heavier place,
 * where that is and by how much it is heavier. After Longuet-Higgins & Lee 1984, taken cyclically.
 * @param notes places in ticks, rising  @param cycle ticks  @param slot step in which places lie */
export function syncopatedNotes(
  notes: readonly number[],
  cycle: number,
  slot: number,
  meter: Meter,
): readonly { readonly at: number; readonly over: number; readonly value: number }[] {
  const weights = weightsOf(slot, meter);
  const found: { at: number; over: number; value: number }[] = [];
  notes.forEach((at, index) => {
    const end = notes[index + 1] ?? (notes[0] ?? 0) + cycle;
    const own = metricalWeight(at, meter);
    let over = at;
    let heaviest = own;
    for (let place = at + slot; place < end; place += slot) {
      const inCycle = place < cycle ? place : wrap(place, cycle);
      const weight = weights[(inCycle / slot) % weights.length] ?? metricalWeight(inCycle, meter);
      if (weight > heaviest) {
        heaviest = weight;
        over = inCycle;
      }
    }
    if (heaviest > own) found.push({ at, over, value: heaviest - own });
  });
  return found;
}

/** The weights of a bar's slots, in order; empty where the slots do not fill a bar. */
function weightsOf(slot: number, meter: Meter): readonly number[] {
  let known = SLOT_WEIGHTS.get(meter);
  if (!known) {
    known = new Map();
    SLOT_WEIGHTS.set(meter, known);
  }
  let weights = known.get(slot);
  if (!weights) {
    const count = barTicks(meter) / slot;
    weights = Number.isInteger(count)
      ? Array.from({ length: count }, (_, index) => metricalWeight(index * slot, meter))
      : [];
    known.set(slot, weights);
  }
  return weights;
}

const SLOT_WEIGHTS = new WeakMap<Meter, Map<number, readonly number[]>>();
