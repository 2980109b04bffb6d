/** Which placements are wanted: so many of so many slots. */
export interface PlacementRule {
  /** Slots in the span, 1 to 64. */
  readonly slots: number;
  /** Fewest and most notes, the anchors counted. */
  readonly least: number;
  readonly most: number;
  /** `adjacent`: all notes in one unbroken run; `apart`: no two next to each other. */
  readonly spacing: 'any' | 'adjacent' | 'apart';
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
  const plain = rule.anchors === undefined && rule.free === undefined && rule.spacing === 'any';
  return plain ? new Combinations(rule.slots, rule.least, rule.most) : placementsByRule(rule);
}

function* placementsByRule(rule: PlacementRule): Generator<readonly number[]> {
  const anchors = [...new Set(rule.anchors ?? [])];
  const free = freeSlots(rule, anchors);
  const [least, most] = [rule.least - anchors.length, rule.most - anchors.length];
  for (const places of new Combinations(free.length, least, most)) {
    const placed = placeOn(free, places, anchors);
    if (rule.spacing === 'any' || isSpaced(placed, rule)) yield placed;
  }
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

/** Gaps between neighbours that are one slot; the run is unbroken when all but one are. */
function isSpaced(placed: readonly number[], { slots, spacing, cyclic }: PlacementRule): boolean {
  const count = placed.length;
  let touching = 0;
  for (let index = 1; index < count; index += 1) {
    if ((placed[index] ?? 0) - (placed[index - 1] ?? 0) === 1) touching += 1;
  }
  const around = cyclic && count > 1 && (placed[0] ?? 0) + slots - (placed[count - 1] ?? 0) === 1;
  if (spacing === 'apart') return touching === 0 && !around;
  return touching + (around ? 1 : 0) >= count - 1;
}

/** How many placements there are, counted without making them where a formula holds.
 * Binomials; a run of k in a ring of n: n; no two adjacent in a row: C(n−k+1, k), in a ring:
 * n/(n−k) · C(n−k, k). */
export function countPlacements(rule: PlacementRule): number {
  const anchors = rule.anchors?.length ?? 0;
  const plain = anchors === 0 && rule.free === undefined;
  if (rule.spacing !== 'any' && !plain) return countByMaking(rule);
  let total = 0;
  for (let count = rule.least; count <= rule.most; count += 1) total += countOf(count, rule);
  return total;
}

function countByMaking(rule: PlacementRule): number {
  let total = 0;
  for (const _ of placements(rule)) total += 1;
  return total;
}

function countOf(count: number, rule: PlacementRule): number {
  const { slots, spacing, cyclic } = rule;
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
export function binomial(n: number, k: number): number {
  if (k < 0 || k > n) return 0;
  let result = 1;
  for (let step = 1; step <= Math.min(k, n - k); step += 1) {
    result = (result * (n - step + 1)) / step;
  }
  return Math.round(result);
}
