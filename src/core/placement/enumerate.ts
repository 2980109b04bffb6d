import { gcd } from '../time';
import { evenPlacement } from './even';

/** How notes may lie to each other. `adjacent`: all in one unbroken run; `apart`: no two next to each
 * other; `even`: as even as can be, from every slot on. */
export const SPACINGS = ['any', 'adjacent', 'apart', 'even'] as const;

/** Which placements are wanted: so many of so many slots. */
export interface PlacementRule {
  /** Slots in the span, 1 to 64. */
  readonly slots: number;
  /** Fewest and most notes, the anchors counted. */
  readonly least: number;
  readonly most: number;
  readonly spacing: (typeof SPACINGS)[number];
  /** Whether the last slot is next to the first, as when the span repeats. */
  readonly cyclic: boolean;
  /** Slots that are always taken. */
  readonly anchors?: readonly number[];
  /** Slots that may be taken besides the anchors; all when left out. */
  readonly free?: readonly number[];
}

/** Every placement once: fewer notes first, then by the places of the first, second… note.
 * @returns slots rising, counted from 0; a new array each
 * @example singles and adjacent pairs of 4, cyclic // => 4 + 4 */
export function placements(rule: PlacementRule): Iterable<readonly number[]> {
  if (rule.spacing === 'even') return evenPlacements(rule);
  const plain = rule.anchors === undefined && rule.free === undefined && rule.spacing === 'any';
  return plain ? new Combinations(rule.slots, rule.least, rule.most) : placementsByRule(rule);
}

/** Every rotation of the most even placement of each count that takes all anchors and no slot but the
 * free ones. */
function* evenPlacements(rule: PlacementRule): Generator<readonly number[]> {
  const { slots, least, most, anchors = [] } = rule;
  const may = new Set([...anchors, ...freeSlots(rule, anchors)]);
  for (let count = least; count <= Math.min(most, slots); count += 1) {
    const even = count === 0 ? [] : evenPlacement(count, slots);
    for (let by = 0; by < turnsOf(count, slots); by += 1) {
      const placed = even.map((slot) => (slot + by) % slots).sort((a, b) => a - b);
      const taken = new Set(placed);
      if (anchors.every((slot) => taken.has(slot)) && placed.every((slot) => may.has(slot))) {
        yield placed;
      }
    }
  }
}

/** How many rotations of the most even placement are different. @example 3 of 8 // => 8, 4 of 8 // => 2 */
function turnsOf(count: number, slots: number): number {
  return count === 0 ? 1 : slots / gcd(count, slots);
}

function* placementsByRule(rule: PlacementRule): Generator<readonly number[]> {
  const anchors = [...new Set(rule.anchors ?? [])].sort((a, b) => a - b);
  const free = freeSlots(rule, anchors);
  for (let count = Math.max(0, rule.least); count <= Math.min(rule.most, rule.slots); count += 1) {
    if (rule.spacing === 'adjacent') yield* runs(rule, count, anchors, free);
    else if (rule.spacing === 'apart') yield* spread(rule, count, anchors, free);
    else {
      const more = count - anchors.length;
      if (more < 0) continue;
      for (const places of new Combinations(free.length, more, more)) {
        yield placeOn(free, places, anchors);
      }
    }
  }
}

/** Unbroken runs of so many that take all anchors, in lexical order. */
function runs(
  { slots, cyclic }: PlacementRule,
  count: number,
  anchors: readonly number[],
  free: readonly number[],
): readonly (readonly number[])[] {
  const may = new Set([...anchors, ...free]);
  const starts = count === 0 || count === slots ? 1 : cyclic ? slots : slots - count + 1;
  return Array.from({ length: starts }, (_, start) =>
    Array.from({ length: count }, (_step, step) => (start + step) % slots).sort((a, b) => a - b),
  )
    .filter(
      (run) => anchors.every((slot) => run.includes(slot)) && run.every((one) => may.has(one)),
    )
    .sort(inLexicalOrder);
}

function inLexicalOrder(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((slot, index) => slot !== b[index]);
  return at < 0 ? 0 : (a[at] ?? 0) - (b[at] ?? 0);
}

/** So many with no two next to each other, in lexical order; an anchor is never passed over. */
function* spread(
  rule: PlacementRule,
  count: number,
  anchors: readonly number[],
  free: readonly number[],
  before: readonly number[] = [],
): Generator<readonly number[]> {
  const { slots, cyclic } = rule;
  const left = count - before.length;
  const last = before.at(-1);
  const next = anchors.find((slot) => slot > (last ?? -1));
  const [first] = before;
  const touches = cyclic && before.length > 1 && last === slots - 1 && first === 0;
  if (touches || (cyclic && slots === 1 && count > 1)) return;
  if (left === 0) {
    if (next === undefined) yield before;
    return;
  }
  for (let slot = last === undefined ? 0 : last + 2; slot < slots; slot += 1) {
    if (next !== undefined && slot > next) return;
    if (slot + 2 * (left - 1) >= slots) return;
    if (slot !== next && !free.includes(slot)) continue;
    yield* spread(rule, count, anchors, free, [...before, slot]);
  }
}

/** How many ways to take so many with no two next to each other, all anchors taken: slot by slot, by how
 * many are taken and whether the last slot is; in a ring once with the first slot taken and once
 * without. */
function countSpread({ slots, cyclic, ...rule }: PlacementRule, count: number): number {
  const anchors = new Set(rule.anchors ?? []);
  const may = new Set([...anchors, ...(rule.free ?? Array.from({ length: slots }, (_, s) => s))]);
  let total = 0;
  for (const firstTaken of [false, true]) {
    if (firstTaken ? !may.has(0) : anchors.has(0)) continue;
    let rows = [{ taken: firstTaken ? 1 : 0, last: firstTaken, ways: 1 }];
    for (let slot = 1; slot < slots; slot += 1) {
      const sums = new Map<number, number>();
      for (const { taken, last, ways } of rows) {
        if (!anchors.has(slot)) addTo(sums, taken * 2, ways);
        if (may.has(slot) && !last) addTo(sums, (taken + 1) * 2 + 1, ways);
      }
      rows = [...sums].map(([key, ways]) => ({ taken: key >> 1, last: (key & 1) === 1, ways }));
    }
    for (const { taken, last, ways } of rows) {
      const around = cyclic && firstTaken && last && slots > 1;
      if (taken === count && !around) total += ways;
    }
  }
  return total;
}

function addTo(sums: Map<number, number>, key: number, ways: number): void {
  sums.set(key, (sums.get(key) ?? 0) + ways);
}

/** Every choice of so many of n, the fewest first, in lexical order, a new array each. Written out
 * as an iterator: a generator takes half as long again, and there are many. */
class Combinations implements IterableIterator<readonly number[]> {
  readonly #n: number;
  readonly #most: number;
  #places: number[];
  #over: boolean;

  constructor(n: number, least: number, most: number) {
    this.#n = n;
    this.#most = Math.min(n, most);
    const first = Math.max(0, least);
    this.#over = first > this.#most;
    this.#places = Array.from({ length: first }, (_, index) => index);
  }

  [Symbol.iterator](): this {
    return this;
  }

  next(): IteratorResult<readonly number[], undefined> {
    if (this.#over) return { value: undefined, done: true };
    const places = this.#places;
    const value = places.slice();
    const end = places.length - 1;
    const after = (places[end] ?? this.#n) + 1;
    if (after < this.#n) places[end] = after;
    else this.#moveEarlier(end - 1);
    return { value, done: false };
  }

  /** The last place that can still move does, and those after it follow close behind. */
  #moveEarlier(from: number): void {
    const places = this.#places;
    const count = places.length;
    let index = from;
    while (index >= 0 && places[index] === this.#n - count + index) index -= 1;
    if (index >= 0) {
      let place = (places[index] ?? 0) + 1;
      for (; index < count; index += 1, place += 1) places[index] = place;
    } else if (count < this.#most) {
      this.#places = Array.from({ length: count + 1 }, (_, nth) => nth);
    } else this.#over = true;
  }
}

function freeSlots(rule: PlacementRule, anchors: readonly number[]): readonly number[] {
  const all = rule.free ?? Array.from({ length: rule.slots }, (_, slot) => slot);
  return [...all].filter((slot) => !anchors.includes(slot)).sort((a, b) => a - b);
}

function placeOn(
  free: readonly number[],
  places: readonly number[],
  anchors: readonly number[],
): readonly number[] {
  const chosen = places.map((place) => free[place] ?? 0);
  return anchors.length === 0 ? chosen : [...anchors, ...chosen].sort((a, b) => a - b);
}

/** How many placements there are, counted without making them where a formula holds.
 * Binomials; a run of k in a ring of n: n; no two adjacent in a row: C(n−k+1, k), in a ring:
 * n/(n−k) · C(n−k, k), slot by slot where there are anchors; rotations of the most even k of n: n/gcd(n, k). */
export function countPlacements(rule: PlacementRule): number {
  const plain = (rule.anchors?.length ?? 0) === 0 && rule.free === undefined;
  if (!plain && (rule.spacing === 'adjacent' || rule.spacing === 'even')) {
    return [...placements(rule)].length;
  }
  let total = 0;
  for (let count = rule.least; count <= rule.most; count += 1) {
    total += plain || rule.spacing === 'any' ? countOf(count, rule) : countSpread(rule, count);
  }
  return total;
}

function countOf(count: number, rule: PlacementRule): number {
  const { slots, spacing, cyclic } = rule;
  if (spacing === 'even') return count < 0 || count > slots ? 0 : turnsOf(count, slots);
  if (spacing === 'any') {
    const anchors = [...new Set(rule.anchors ?? [])];
    return binomial(freeSlots(rule, anchors).length, count - anchors.length);
  }
  if (count < 0 || count > slots) return 0;
  if (count === 0) return 1;
  if (spacing === 'adjacent') return cyclic && count < slots ? slots : slots - count + 1;
  if (!cyclic) return binomial(slots - count + 1, count);
  if (count === 1) return slots;
  return count * 2 > slots ? 0 : (slots / (slots - count)) * binomial(slots - count, count);
}

/** @example binomial(4, 2) // => 6 */
function binomial(n: number, k: number): number {
  if (k < 0 || k > n) return 0;
  let result = 1;
  for (let step = 1; step <= Math.min(k, n - k); step += 1) {
    result = (result * (n - step + 1)) / step;
  }
  return Math.round(result);
}
