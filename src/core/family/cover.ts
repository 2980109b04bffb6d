import type { Member } from './members';

/** A value of one axis, or of two together. */
interface Coverage {
  /** What is covered, by a number that the members give. */
  readonly of: (choice: readonly number[]) => readonly number[];
}

export type CoverOf = 'values' | 'pairs';

/** Numbers for every value, or every pair of values of two axes, that a choice holds. */
function coverage(sizes: readonly number[], of: CoverOf): Coverage {
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
    return { of: (choice) => axes.map((axis) => valueOf(choice, axis)) };
  }
  const pairs = axes.flatMap((a, nth) => axes.slice(nth + 1).map((b) => [a, b] as const));
  return {
    of: (choice) => pairs.map(([a, b]) => valueOf(choice, a) * total + valueOf(choice, b)),
  };
}

/** What a choice of members covers. */
export interface Cover {
  /** Members by their place in the list that was given, the best first. */
  readonly chosen: readonly number[];
  /** Values, or pairs, that the chosen ones hold, and that all of them hold. */
  readonly covered: number;
  readonly all: number;
}

/** Rounds of looking for a smaller cover. */
const TRIES = 12;
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
): Cover {
  const { of: holds } = coverage(sizes, of);
  const held = members.map(({ choice }) => holds(choice));
  const all = new Set(held.flat());
  let best = greedy(held, all.size, random, false);
  for (let round = 0; round < TRIES && members.length <= 20_000; round += 1) {
    const other = greedy(held, all.size, random, true);
    if (other.length < best.length) best = other;
  }
  for (const start of of === 'pairs' ? [squareStart(members, sizes, held, all.size)] : []) {
    if (start && start.length < best.length) best = start;
  }
  best = shrink(best, held, all, random);
  const chosen = bestFirst(best, held);
  return { chosen, covered: all.size, all: all.size };
}

/** The first n of a cover, and how much they hold. @returns the rest of the members too, where n is
 * more than the cover needs */
export function keepBest(
  cover: Cover,
  members: readonly Pick<Member, 'choice'>[],
  sizes: readonly number[],
  of: CoverOf,
  count: number,
): Cover {
  const { of: holds } = coverage(sizes, of);
  const taken = new Set(cover.chosen);
  const rest = members.map((_, index) => index).filter((index) => !taken.has(index));
  const chosen = [...cover.chosen, ...rest].slice(0, count);
  const covered = new Set(chosen.flatMap((index) => holds(members[index]?.choice ?? [])));
  return { chosen, covered: covered.size, all: cover.all };
}

/** Takes the member that adds most, until nothing is missing. @param shuffled among equals, any */
function greedy(
  held: readonly (readonly number[])[],
  all: number,
  random: () => number,
  shuffled: boolean,
): readonly number[] {
  const covered = new Set<number>();
  const chosen: number[] = [];
  const gainOf = (index: number) =>
    (held[index] ?? []).reduce((gain, one) => gain + (covered.has(one) ? 0 : 1), 0);
  while (covered.size < all) {
    let best = -1;
    let most = 0;
    let equals = 0;
    for (let index = 0; index < held.length; index += 1) {
      const gain = gainOf(index);
      if (gain < most || gain === 0) continue;
      equals = gain > most ? 1 : equals + 1;
      if (gain > most || (shuffled && random() * equals < 1)) best = index;
      most = gain;
    }
    if (best < 0) break;
    chosen.push(best);
    for (const one of held[best] ?? []) covered.add(one);
  }
  return chosen;
}

/** For pairs: rows of a square of a prime side. Value of axis j in row (x, y) is x·j + y, so that any
 * two of up to side + 1 axes meet in every pair once. Rows that are no member, or hold nothing new,
 * are left out, and what is missing then is added. After Bush 1952, from memory. */
function squareStart(
  members: readonly Pick<Member, 'choice'>[],
  sizes: readonly number[],
  held: readonly (readonly number[])[],
  all: number,
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
  const rest = greedy(missing, all - covered.size, () => 0, false);
  return [...chosen, ...rest];
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
  const order = greedy(
    cover.map((index) => held[index] ?? []),
    new Set(cover.flatMap((index) => held[index] ?? [])).size,
    () => 0,
    false,
  );
  const first = order.map((nth) => cover[nth] ?? 0);
  return [...first, ...cover.filter((index) => !first.includes(index))];
}
