/** What ordering needs of a member. */
export interface Stop {
  readonly points: number;
  /** Number of each stroke and its place, rising. */
  readonly events: readonly number[];
  readonly choice: readonly number[];
}

/** Costs of a step: a stroke that comes or goes, an axis with another value, and at most for a fall in difficulty,
 * however far. Fewest changed notes come first; a fall, then an axis, decides between steps that change as many. */
const COST = { stroke: 1, axis: 0.001, fall: 0.9 } as const;

/** How much a step changes, and how far it falls back in difficulty; 0 for the same exercise. Not the
 * same both ways: going up costs nothing. */
export function stepCost(from: Stop, to: Stop): number {
  return changeCost(from, to) + fallCost(from, to);
}

/** What differs, the same both ways. */
function changeCost(one: Stop, other: Stop): number {
  let axes = 0;
  other.choice.forEach((value, axis) => (axes += one.choice[axis] === value ? 0 : 1));
  return COST.stroke * differingStrokes(one, other) + COST.axis * axes;
}

function fallCost(from: Stop, to: Stop): number {
  const fall = Math.max(0, from.points - to.points);
  return (COST.fall * fall) / (1 + fall);
}

/** Strokes that only one of both has. Both are sorted, so they are walked side by side. */
function differingStrokes({ events: a }: Stop, { events: b }: Stop): number {
  let same = 0;
  for (let i = 0, j = 0; i < a.length && j < b.length;) {
    const one = a[i] ?? 0;
    const other = b[j] ?? 0;
    if (one === other) same += 1;
    if (one <= other) i += 1;
    if (other <= one) j += 1;
  }
  return a.length + b.length - 2 * same;
}

/** The sum of its steps. @param order places in `stops` */
export function pathCost(stops: readonly Stop[], order: readonly number[]): number {
  return order.slice(1).reduce((sum, to, index) => {
    const [a, b] = [stops[order[index] ?? 0], stops[to]];
    return a && b ? sum + stepCost(a, b) : sum;
  }, 0);
}

/** Which members stand at the ends, in this order, where the teacher says so. */
export interface Pins {
  readonly first?: readonly number[];
  readonly last?: readonly number[];
}

/** The one at each end of a walk. */
interface Ends {
  readonly first?: number | null;
  readonly last?: number | null;
}

/** Most members that are weighed against all others; more are ordered in stretches of rising
 * difficulty. */
const MOST_AT_ONCE = 600;
const STRETCH = 120;

/** Most members that are ordered by their steps at all; more rise in difficulty only. */
const MOST_BY_STEPS = 20_000;

/** An order in which steps change as few notes as can be, and of such orders one in which difficulty falls least: of
 * up to ten the best of all, from the easiest where that costs little more; of more a nearest-neighbour walk from the
 * easiest, bettered by moving stretches of it until nothing helps.
 * @returns places in `stops`, each once; never dearer than the walk */
export function orderPath(
  stops: readonly Stop[],
  { first = [], last = [] }: Pins = {},
): readonly number[] {
  const end = last.filter((place) => !first.includes(place));
  const [head, tail] = [first.slice(0, -1), end.slice(1)];
  const outside = new Set([...head, ...tail]);
  const inside = stops.map((_, place) => place).filter((place) => !outside.has(place));
  const placeOf = (place: number | undefined) => (place === undefined ? -1 : inside.indexOf(place));
  const ends = { first: placeOf(first.at(-1)), last: placeOf(end[0]) };
  const walked = walkPath(
    inside.flatMap((place) => stops[place] ?? []),
    { first: ends.first < 0 ? null : ends.first, last: ends.last < 0 ? null : ends.last },
  );
  return [...head, ...walked.map((nth) => inside[nth] ?? 0), ...tail];
}

function walkPath(stops: readonly Stop[], pins: Ends): readonly number[] {
  const all = stops.map((_, index) => index);
  if (stops.length <= MOST_AT_ONCE) return orderOf(stops, all, pins);
  const { first = null, last = null } = pins;
  const inner = all
    .filter((index) => index !== first && index !== last)
    .sort((a, b) => (stops[a]?.points ?? 0) - (stops[b]?.points ?? 0) || a - b);
  const order: number[] = first === null ? [] : [first];
  if (stops.length > MOST_BY_STEPS) order.push(...inner);
  else for (const stretch of stretchesOf(inner)) walkOn(stretch);
  return last === null || last === first ? order : [...order, last];

  function walkOn(stretch: readonly number[]): void {
    const before = order.at(-1);
    const from = before === undefined ? stretch : [before, ...stretch];
    const walked = orderOf(stops, from, { first: before ?? null });
    order.push(...(before === undefined ? walked : walked.slice(1)));
  }
}

function stretchesOf(members: readonly number[]): readonly (readonly number[])[] {
  return Array.from({ length: Math.ceil(members.length / STRETCH) }, (_, nth) =>
    members.slice(nth * STRETCH, (nth + 1) * STRETCH),
  );
}

function orderOf(stops: readonly Stop[], members: readonly number[], pins: Ends) {
  const count = members.length;
  const costs = costsOf(members.flatMap((member) => stops[member] ?? []));
  const place = (member: number | null | undefined) =>
    member === null || member === undefined ? -1 : members.indexOf(member);
  const easiest = members.reduce(
    (best, member, index) =>
      (stops[member]?.points ?? 0) < (stops[members[best] ?? 0]?.points ?? 0) ? index : best,
    0,
  );
  const [first, last] = [place(pins.first), place(pins.last)];
  if (count <= MOST_EXACT) {
    const best = exactOrder(count, costs, { first, last, easiest });
    return best.map((index) => members[index] ?? 0);
  }
  const walked = walk(count, costs, first < 0 ? easiest : first, last);
  return better(walked, count, costs, last >= 0).map((index) => members[index] ?? 0);
}

/** Of so many the best order of all is found. */
const MOST_EXACT = 10;

/** An order that begins with the easiest may cost so much more than the best. */
const WORTH_EASIEST = 1.1;

/** The cheapest order of all, by the cheapest way to each end of each set of members. @param first −1 for any */
function exactOrder(
  count: number,
  costs: Float64Array,
  { first, last, easiest }: Readonly<Record<'first' | 'last' | 'easiest', number>>,
): readonly number[] {
  if (count <= 1) return Array.from({ length: count }, (_, index) => index);
  const whole = (1 << count) - 1;
  const best = new Float64Array((whole + 1) * count).fill(Infinity);
  const from = new Int8Array((whole + 1) * count).fill(-1);
  const cheapest = (
    begin: number,
  ): { readonly cost: number; readonly order: readonly number[] } => {
    best.fill(Infinity);
    for (let one = 0; one < count; one += 1) {
      if (begin < 0 || one === begin) best[(1 << one) * count + one] = 0;
    }
    for (let set = 1; set <= whole; set += 1) {
      for (let now = 0; now < count; now += 1) {
        const cost = best[set * count + now] ?? Infinity;
        if (cost === Infinity) continue;
        for (let next = 0; next < count; next += 1) {
          if ((set & (1 << next)) !== 0) continue;
          const place = (set | (1 << next)) * count + next;
          const sum = cost + (costs[now * count + next] ?? 0);
          if (sum >= (best[place] ?? Infinity)) continue;
          best[place] = sum;
          from[place] = now;
        }
      }
    }
    const costAt = (one: number) => best[whole * count + one] ?? Infinity;
    let end = last;
    if (end < 0 || end === begin) {
      end = begin === 0 ? 1 : 0;
      for (let one = 0; one < count; one += 1) if (costAt(one) < costAt(end)) end = one;
    }
    const cost = costAt(end);
    const order = [end];
    for (let set = whole, now = end; order.length < count;) {
      const before = from[set * count + now] ?? 0;
      set &= ~(1 << now);
      order.unshift(before);
      now = before;
    }
    return { cost, order };
  };
  if (first >= 0) return cheapest(first).order;
  const [any, begun] = [cheapest(-1), last === easiest ? null : cheapest(easiest)];
  return begun && begun.cost <= any.cost * WORTH_EASIEST ? begun.order : any.order;
}

/** What each step costs, row by row. */
function costsOf(stops: readonly Stop[]): Float64Array {
  const count = stops.length;
  const costs = new Float64Array(count * count);
  stops.forEach((one, i) => {
    for (let j = i + 1; j < count; j += 1) {
      const other = stops[j];
      if (!other) continue;
      const change = changeCost(one, other);
      costs[i * count + j] = change + fallCost(one, other);
      costs[j * count + i] = change + fallCost(other, one);
    }
  });
  return costs;
}

/** Always on to the nearest that was not yet. @param last stands at the end, −1 for any */
function walk(count: number, costs: Float64Array, first: number, last: number): number[] {
  if (count === 0) return [];
  const order = [first];
  const left = new Set(Array.from({ length: count }, (_, index) => index));
  left.delete(first);
  left.delete(last);
  for (let now = first; left.size > 0;) {
    let nearest = -1;
    for (const one of left) {
      const nearer = (costs[now * count + one] ?? 0) < (costs[now * count + nearest] ?? Infinity);
      if (nearest < 0 || nearer) nearest = one;
    }
    order.push(nearest);
    left.delete(nearest);
    now = nearest;
  }
  return last < 0 || last === first ? order : [...order, last];
}

/** The nearest-neighbour walk by itself: what a path is measured against. */
export function nearestNeighbourWalk(stops: readonly Stop[]): readonly number[] {
  const points = stops.map((stop) => stop.points);
  return walk(stops.length, costsOf(stops), points.indexOf(Math.min(...points)), -1);
}

const LONGEST_MOVED = 3;
const MOST_ROUNDS = 12;

/** Moves stretches of one to three to where they cost least, both ways round, while it helps; the first
 * stays. */
function better(
  walked: readonly number[],
  count: number,
  costs: Float64Array,
  pinLast: boolean,
): readonly number[] {
  const order = [...walked];
  const cost = (from: number | undefined, to: number | undefined) =>
    from === undefined || to === undefined ? 0 : (costs[from * count + to] ?? 0);
  const [start, end] = [1, order.length - (pinLast ? 1 : 0)];
  for (let round = 0, helped = true; helped && round < MOST_ROUNDS; round += 1) {
    helped = false;
    for (let length = 1; length <= LONGEST_MOVED; length += 1) {
      for (let from = start; from + length <= end; from += 1) {
        const part = order.slice(from, from + length);
        const [head, tail] = [part[0], part.at(-1)];
        const [before, after] = [order[from - 1], order[from + length]];
        const freed = cost(before, head) + cost(tail, after) - cost(before, after);
        let best = { to: -1, gain: 1e-9, turned: false };
        for (let to = start; to <= end; to += 1) {
          if (to >= from && to <= from + length) continue;
          const [left, right] = [order[to - 1], order[to]];
          const opened = freed + cost(left, right);
          const gain = opened - cost(left, head) - cost(tail, right);
          if (gain > best.gain) best = { to, gain, turned: false };
          if (length === 1) continue;
          const turnedGain = opened - cost(left, tail) - cost(head, right) - insideOut(part, cost);
          if (turnedGain > best.gain) best = { to, gain: turnedGain, turned: true };
        }
        if (best.to < 0) continue;
        helped = true;
        const moved = best.turned ? [...part].reverse() : part;
        order.splice(from, length);
        order.splice(best.to > from ? best.to - length : best.to, 0, ...moved);
      }
    }
  }
  return order;
}

/** What a stretch costs more when it is played the other way round. */
function insideOut(
  part: readonly number[],
  cost: (from: number | undefined, to: number | undefined) => number,
): number {
  let more = 0;
  for (let index = 1; index < part.length; index += 1) {
    more += cost(part[index], part[index - 1]) - cost(part[index - 1], part[index]);
  }
  return more;
}

/** The teacher's own order with what is new put where it costs least, or behind it as a path of its own
 * where there is very much of it; those that are gone are left out.
 * @param own places in `stops` in the teacher's order
 * @returns every place once; those in `own` keep their order */
export function keepOrder(stops: readonly Stop[], own: readonly number[]): readonly number[] {
  const order = own.filter((place) => stops[place] !== undefined);
  const known = new Set(order);
  const cost = (from: number | undefined, to: number | undefined) => {
    const [a, b] = [stops[from ?? -1], stops[to ?? -1]];
    return a && b ? stepCost(a, b) : 0;
  };
  const fresh = stops.map((_, place) => place).filter((place) => !known.has(place));
  if (fresh.length > MOST_AT_ONCE) {
    const path = orderPath(fresh.flatMap((place) => stops[place] ?? []));
    return [...order, ...path.map((nth) => fresh[nth] ?? 0)];
  }
  fresh.forEach((place) => {
    let best = { to: order.length, more: Infinity };
    for (let to = 0; to <= order.length; to += 1) {
      const [left, right] = [order[to - 1], order[to]];
      const more = cost(left, place) + cost(place, right) - cost(left, right);
      if (more < best.more) best = { to, more };
    }
    order.splice(best.to, 0, place);
  });
  return order;
}
