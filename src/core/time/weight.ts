import { barTicks, unitTicks, type Meter } from './meter';
import { wrap } from './tick';

/** Metrical weight of a place: 0 for the bar and one less for each level of the meter's own tree below
 * it: its halves where it has them, else its groups or beats, then theirs; below the counted note one
 * less for each halving or third. After Longuet-Higgins & Lee 1984.
 * @param at ticks from the start; places beyond the bar wrap
 * @example the 16ths of 4/4 // => 0 -4 -3 -4 -2 -4 -3 -4 -1 -4 -3 -4 -2 -4 -3 -4
 * @example the 8ths of 6/8 // => 0 -2 -2 -1 -2 -2 */
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
  const unit = unitTicks(meter);
  const found = levelInTree(place, 0, treeOf(meter), unit);
  if (found.within === 0) return 0 - found.level;
  return 0 - found.level - partsBelow(found.within, unit);
}

/** How a stretch of counted notes is divided: into stretches, or it is one counted note. */
type Tree = number | readonly Tree[];

/** Groups in halves as long as their number is even, then each group in its notes; without groups, the
 * notes in halves as long as their number is even. */
function treeOf({ count, grouping }: Meter): Tree {
  if (grouping.length === 1) return halves(Array.from({ length: count }, () => 1));
  return halves(
    grouping.map((units) => (units === 1 ? 1 : halves(Array.from({ length: units }, () => 1)))),
  );
}

/** Equal parts, halved while their number is even and more than two. */
function halves(parts: readonly Tree[]): Tree {
  const alike = parts.every((one) => unitsOf(one) === unitsOf(parts[0] ?? 1));
  if (!alike || parts.length <= 3 || parts.length % 2 === 1) return parts;
  const half = parts.length / 2;
  return [halves(parts.slice(0, half)), halves(parts.slice(half))];
}

function unitsOf(tree: Tree): number {
  return typeof tree === 'number' ? tree : tree.reduce<number>((sum, one) => sum + unitsOf(one), 0);
}

/** Goes down to the stretch that begins at a place, or to the counted note that holds it.
 * @returns its level, 0 for the bar, and what is left of the place within it */
function levelInTree(
  place: number,
  level: number,
  tree: Tree,
  unit: number,
): { readonly level: number; readonly within: number } {
  if (place === 0 || typeof tree === 'number') return { level, within: place };
  let start = 0;
  for (const part of tree) {
    const length = unitsOf(part) * unit;
    if (place < start + length) return levelInTree(place - start, level + 1, part, unit);
    start += length;
  }
  return { level, within: 0 };
}

/** Levels below a counted note: halves, or thirds where halves do not reach the place. */
function partsBelow(place: number, note: number): number {
  let level = 0;
  let length = note;
  let within = place;
  while (within > 0) {
    level += 1;
    length /= (within * 3) % length === 0 && (within * 2) % length !== 0 ? 3 : 2;
    within %= length;
  }
  return level;
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
    if (end - at <= slot) return;
    const own = weights[(at / slot) % weights.length] ?? metricalWeight(at, meter);
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
