import type { Member } from './members';

export type CoverOf = 'values' | 'pairs';

/** What a choice holds: a number for each value, or each pair of values of two axes. */
type Holds = (choice: readonly number[]) => readonly number[];

function holdsOf(sizes: readonly number[], of: CoverOf): Holds {
  const starts: number[] = [];
  let total = 0;
  for (const size of sizes) {
    starts.push(total);
    total += size;
  }
  const valueOf = (choice: readonly number[], axis: number) =>
    (starts[axis] ?? 0) + (choice[axis] ?? 0);
  const axes = sizes.flatMap((size, axis) => (size > 1 ? [axis] : []));
  if (of === 'values' || axes.length < 2) {
    return (choice) => axes.map((axis) => valueOf(choice, axis));
  }
  const pairs = axes.flatMap((a, nth) => axes.slice(nth + 1).map((b) => [a, b] as const));
  return (choice) => pairs.map(([a, b]) => valueOf(choice, a) * total + valueOf(choice, b));
}

/** How many values, or pairs, members hold.
 * @example all 45 of 5 × 3 × 3 // => 39 pairs */
export function countHeld(
  members: readonly Pick<Member, 'choice'>[],
  sizes: readonly number[],
  of: CoverOf,
): number {
  const holds = holdsOf(sizes, of);
  const held = new Set<number>();
  for (const { choice } of members) for (const one of holds(choice)) held.add(one);
  return held.size;
}

/** Rounds of looking for a smaller cover, and the most members among which they are made. */
const TRIES = 12;
const MOST_TRIED = 20_000;
const REPAIRS = 20_000;
const ATTEMPTS = 3;

/** As few members as are found that hold every value, or every pair of values, that any member
 * holds; the best first, so that the first n of them are a good n.
 * @param random for looking on from several places; from 0 up to 1
 * @example 5 × 3 × 3, pairs // => 15 members; 3 × 3 // => 9 */
export function coverMembers(
  members: readonly Pick<Member, 'choice'>[],
  sizes: readonly number[],
  of: CoverOf,
  random: () => number,
): readonly number[] {
  const holds = holdsOf(sizes, of);
  const held = members.map(({ choice }) => holds(choice));
  const all = new Set<number>();
  for (const parts of held) for (const part of parts) all.add(part);
  let best = greedy(held, null);
  const tries = members.length > MOST_TRIED ? 0 : TRIES;
  for (let round = 0; round < tries; round += 1) {
    const other = greedy(held, random);
    if (other.length < best.length) best = other;
  }
  const square = of === 'pairs' ? squareStart(members, sizes, held) : null;
  if (square && square.length < best.length) best = square;
  return bestFirst(shrink(best, held, all, random), held);
}

/** The best n: the first n of a cover, and others where it needs fewer.
 * @param all how many members there are  @returns places of members */
export function keepBest(cover: readonly number[], all: number, count: number): readonly number[] {
  const taken = new Set(cover);
  const rest = Array.from({ length: all }, (_, index) => index).filter((one) => !taken.has(one));
  return [...cover, ...rest].slice(0, count);
}

/** Takes the member that adds most, until none adds anything. What a member adds only ever gets less:
 * members wait by what they last added, and are counted anew only when it is their turn.
 * @param random for any among equals; null takes the first */
function greedy(
  held: readonly (readonly number[])[],
  random: (() => number) | null,
): readonly number[] {
  const waiting: number[][] = [];
  const wait = (index: number, gain: number) => (waiting[gain] ??= []).push(index);
  const order = held.map((_, index) => index).reverse();
  if (random) shuffle(order, random);
  for (const index of order) wait(index, held[index]?.length ?? 0);
  const covered = new Set<number>();
  const chosen: number[] = [];
  for (let gain = waiting.length - 1; gain > 0;) {
    const index = waiting[gain]?.pop();
    if (index === undefined) {
      gain -= 1;
      continue;
    }
    const parts = held[index] ?? [];
    const adds = parts.reduce((sum, part) => sum + (covered.has(part) ? 0 : 1), 0);
    if (adds < gain) wait(index, adds);
    else {
      chosen.push(index);
      for (const part of parts) covered.add(part);
    }
  }
  return chosen;
}

function shuffle(list: number[], random: () => number): void {
  for (let last = list.length - 1; last > 0; last -= 1) {
    const other = Math.floor(random() * (last + 1));
    [list[last], list[other]] = [list[other] ?? 0, list[last] ?? 0];
  }
}

/** For pairs: rows of a square of a prime side. Value of axis j in row (x, y) is x·j + y, so that any
 * two of up to side + 1 axes meet in every pair once. Rows that are no member, or hold nothing new,
 * are left out, and what is missing then is added. After Bush 1952, from memory. */
function squareStart(
  members: readonly Pick<Member, 'choice'>[],
  sizes: readonly number[],
  held: readonly (readonly number[])[],
): readonly number[] | null {
  const axes = sizes.flatMap((size, axis) => (size > 1 ? [axis] : []));
  const side = primeFrom(Math.max(...sizes, axes.length - 1));
  if (axes.length < 3 || side > 31) return null;
  const byChoice = new Map(members.map(({ choice }, index) => [choice.join(), index]));
  const chosen: number[] = [];
  const covered = new Set<number>();
  for (let x = 0; x < side; x += 1) {
    for (let y = 0; y < side; y += 1) {
      const choice = sizes.map((size, axis) => {
        const column = axes.indexOf(axis);
        if (column < 0) return 0;
        const value = column === side ? x : (x * column + y) % side;
        return value < size ? value : (x + y) % size;
      });
      const index = byChoice.get(choice.join());
      if (index === undefined || !(held[index] ?? []).some((one) => !covered.has(one))) continue;
      chosen.push(index);
      for (const one of held[index] ?? []) covered.add(one);
    }
  }
  const missing = held.map((one) => one.filter((part) => !covered.has(part)));
  return [...chosen, ...greedy(missing, null)];
}

function primeFrom(least: number): number {
  let side = Math.max(2, least);
  while (Array.from({ length: side - 2 }, (_, index) => index + 2).some((n) => side % n === 0)) {
    side += 1;
  }
  return side;
}

/** Takes members out while the others hold everything; then tries to do with one less, moving members
 * at random towards what is missing. */
function shrink(
  cover: readonly number[],
  held: readonly (readonly number[])[],
  all: ReadonlySet<number>,
  random: () => number,
): readonly number[] {
  let best = withoutSpare(cover, held);
  if (held.length > 5000) return best;
  const numbers = new Map([...all].map((part, index) => [part, index]));
  const parts = held.map((one) => one.map((part) => numbers.get(part) ?? 0));
  const holders: number[][] = Array.from(numbers, () => []);
  parts.forEach((one, index) => {
    for (const part of one) holders[part]?.push(index);
  });
  for (let tries = 0; tries < ATTEMPTS; tries += 1) {
    const out = Math.floor(random() * best.length);
    const fewer = best.filter((_, index) => index !== out);
    const smaller = repaired(fewer, parts, holders, random);
    if (!smaller) continue;
    best = withoutSpare(smaller, held);
    tries = -1;
  }
  return best;
}

function withoutSpare(
  cover: readonly number[],
  held: readonly (readonly number[])[],
): readonly number[] {
  const times = new Map<number, number>();
  for (const index of cover) {
    for (const part of held[index] ?? []) times.set(part, (times.get(part) ?? 0) + 1);
  }
  return [...cover].reverse().filter((index) => {
    const spare = (held[index] ?? []).every((part) => (times.get(part) ?? 0) > 1);
    if (spare) for (const part of held[index] ?? []) times.set(part, (times.get(part) ?? 0) - 1);
    return !spare;
  });
}

/** Swaps members, one for one that holds something missing, until nothing is missing; a swap that
 * leaves more missing is taken now and then, ever less often.
 * @param parts what each member holds, numbered from 0  @param holders the reverse */
function repaired(
  start: readonly number[],
  parts: readonly (readonly number[])[],
  holders: readonly (readonly number[])[],
  random: () => number,
): readonly number[] | null {
  const chosen = [...start];
  const times = new Int32Array(holders.length);
  for (const index of chosen)
    for (const part of parts[index] ?? []) times[part] = at(times, part) + 1;
  let missing = times.reduce((sum, count) => sum + (count === 0 ? 1 : 0), 0);
  for (let step = 0; step < REPAIRS && missing > 0 && chosen.length > 0; step += 1) {
    const part = nthMissing(times, Math.floor(random() * missing));
    const candidates = holders[part] ?? [];
    const into = candidates[Math.floor(random() * candidates.length)] ?? 0;
    const place = Math.floor(random() * chosen.length);
    const out = chosen[place] ?? 0;
    const before = missing;
    missing += take(out, -1);
    missing += take(into, 1);
    const worse = missing - before;
    const heat = 0.6 * (1 - step / REPAIRS) + 0.05;
    if (worse <= 0 || random() < Math.exp(-worse / heat)) chosen[place] = into;
    else {
      missing += take(into, -1);
      missing += take(out, 1);
    }
  }
  return missing === 0 ? chosen : null;

  /** Counts a member in or out. @returns how many more are missing */
  function take(index: number, by: 1 | -1): number {
    let more = 0;
    for (const part of parts[index] ?? []) {
      const now = at(times, part) + by;
      times[part] = now;
      if (now === 0) more += 1;
      else if (now === 1 && by === 1) more -= 1;
    }
    return more;
  }
}

function at(times: Int32Array, index: number): number {
  return times[index] ?? 0;
}

function nthMissing(times: Int32Array, nth: number): number {
  let left = nth;
  for (let part = 0; part < times.length; part += 1) {
    if (times[part] !== 0) continue;
    if (left === 0) return part;
    left -= 1;
  }
  return 0;
}

/** The one that holds most first, then whichever adds most. */
function bestFirst(
  cover: readonly number[],
  held: readonly (readonly number[])[],
): readonly number[] {
  const parts = cover.map((index) => held[index] ?? []);
  const first = greedy(parts, null).map((nth) => cover[nth] ?? 0);
  const taken = new Set(first);
  return [...first, ...cover.filter((index) => !taken.has(index))];
}
