import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { foldMembers, judgeFamily } from '../family';
import { displacements, opened, TEXTURES } from '../family/family.fixture';
import { bpm } from '../time';
import { keepOrder, nearestNeighbourWalk, orderPath, pathCost, stepCost, type Stop } from '.';

const stop = fc.record({
  points: fc.integer({ min: 0, max: 40 }).map((points) => points / 4),
  events: fc.uniqueArray(fc.nat(30), { maxLength: 12 }).map((all) => all.sort((a, b) => a - b)),
  choice: fc.array(fc.nat(3), { minLength: 2, maxLength: 2 }),
});
const stops = (max: number) => fc.array(stop, { minLength: 1, maxLength: max });

function isPermutation(order: readonly number[], count: number): boolean {
  return order.length === count && new Set(order).size === count && order.every((n) => n < count);
}

describe('stepCost', () => {
  const one: Stop = { points: 3, events: [1, 2, 3, 4], choice: [0, 0] };

  it('is nothing to the same, more the more strokes and axes differ', () => {
    expect(stepCost(one, one)).toBe(0);
    const near = { ...one, events: [1, 2, 3, 5] };
    const far = { ...one, events: [5, 6, 7, 8] };
    expect(stepCost(one, near)).toBe(2);
    expect(stepCost(one, far)).toBe(8);
    expect(stepCost(one, { ...near, choice: [0, 1] })).toBe(2.001);
  });

  it('falling back costs less than any note, going up nothing', () => {
    const harder = { ...one, points: 5 };
    expect(stepCost(one, harder)).toBe(0);
    expect(stepCost(harder, one)).toBeCloseTo(0.6);
  });
});

describe('nearestNeighbourWalk', () => {
  it('begins with the easiest and always goes on to the cheapest that is left', () => {
    fc.assert(
      fc.property(stops(12), (all) => {
        const order = nearestNeighbourWalk(all);
        expect(isPermutation(order, all.length)).toBe(true);
        expect(all[order[0] ?? -1]?.points).toBe(Math.min(...all.map(({ points }) => points)));
        for (let i = 1; i < order.length; i += 1) {
          const from = all[order[i - 1] ?? -1];
          const costs = order.slice(i).map((to) => must(from, all[to]));
          expect(costs[0]).toBe(Math.min(...costs));
        }
      }),
    );
    function must(from: Stop | undefined, to: Stop | undefined): number {
      return from && to ? stepCost(from, to) : Number.NaN;
    }
  });
});

describe('orderPath', () => {
  it('is a permutation of the members, never dearer than the nearest-neighbour walk', () => {
    fc.assert(
      fc.property(stops(24), (all) => {
        const order = orderPath(all);
        expect(isPermutation(order, all.length)).toBe(true);
        const walk = pathCost(all, nearestNeighbourWalk(all));
        expect(pathCost(all, order)).toBeLessThanOrEqual(walk + 1e-9);
      }),
    );
  });

  it('keeps pinned ends', () => {
    fc.assert(
      fc.property(stops(16), fc.nat(15), fc.nat(15), (all, a, b) => {
        const first = a % all.length;
        const last = b % all.length;
        const order = orderPath(all, { first: [first], last: [last] });
        expect(isPermutation(order, all.length)).toBe(true);
        expect(order[0]).toBe(first);
        if (last !== first) expect(order.at(-1)).toBe(last);
      }),
    );
  });

  it('of six is near the best of all orders (brute force)', () => {
    const orders = (left: readonly number[]): number[][] =>
      left.length === 0
        ? [[]]
        : left.flatMap((one) =>
            orders(left.filter((other) => other !== one)).map((rest) => [one, ...rest]),
          );
    const all = orders([0, 1, 2, 3, 4, 5]);
    fc.assert(
      fc.property(fc.array(stop, { minLength: 6, maxLength: 6 }), (six) => {
        const best = Math.min(...all.map((order) => pathCost(six, order)));
        expect(pathCost(six, orderPath(six))).toBeLessThanOrEqual(best * 1.1 + 1e-9);
      }),
      { numRuns: samples(40) },
    );
  });

  it('of placements changes at most a fifth more notes than the shortest of all orders (brute force)', () => {
    const family = fc.uniqueArray(fc.uniqueArray(fc.nat(15), { minLength: 1, maxLength: 6 }), {
      minLength: 5,
      maxLength: 7,
      selector: (places) => [...places].sort((a, b) => a - b).join(),
    });
    const changed = (a: readonly number[], b: readonly number[]) =>
      a.filter((one) => !b.includes(one)).length + b.filter((one) => !a.includes(one)).length;
    const shortest = (
      now: readonly number[] | null,
      left: readonly (readonly number[])[],
    ): number =>
      left.length === 0
        ? 0
        : Math.min(
            ...left.map(
              (next) =>
                (now ? changed(now, next) : 0) +
                shortest(
                  next,
                  left.filter((one) => one !== next),
                ),
            ),
          );
    fc.assert(
      fc.property(
        family,
        fc.infiniteStream(fc.double({ min: 0, max: 20, noNaN: true })),
        (all, points) => {
          const members = all.map((places): Stop => ({
            points: points.next().value ?? 0,
            events: [...places].sort((a, b) => a - b),
            choice: [],
          }));
          const order = orderPath(members);
          const notes = order
            .slice(1)
            .reduce((sum, to, nth) => sum + changed(all[order[nth] ?? 0] ?? [], all[to] ?? []), 0);
          expect(notes).toBeLessThanOrEqual(1.2 * shortest(null, all));
        },
      ),
      { numRuns: samples(100) },
    );
  });

  it('goes through a real family with no long step back', () => {
    const { played } = judgeFamily(opened(...TEXTURES, displacements(0, 0)), bpm(80));
    const members = foldMembers(played);
    const order = orderPath(members);
    const points = order.map((place) => members[place]?.points ?? 0);
    const falls = points.slice(1).map((now, index) => Math.max(0, (points[index] ?? 0) - now));
    // A fifth of the hardest at most: fewest changed notes come first.
    expect(Math.max(...falls)).toBeLessThan(Math.max(...points) / 5);
    expect(points[0]).toBe(Math.min(...points));
  });

  it('of more than can be weighed, rises in difficulty', () => {
    const many = Array.from({ length: 20_001 }, (_, index): Stop => {
      return { points: (index * 7919) % 20_001, events: [], choice: [] };
    });
    const points = orderPath(many).map((place) => many[place]?.points ?? 0);
    expect(points).toEqual(Array.from({ length: 20_001 }, (_, index) => index));
  });

  it('of very many goes in stretches of rising difficulty', () => {
    const many = Array.from({ length: 1300 }, (_, index): Stop => {
      const mixed = (index * 577) % 1300;
      return { points: mixed / 100, events: [mixed % 7, 100 + (mixed % 5)], choice: [mixed % 3] };
    });
    const order = orderPath(many, { first: [7], last: [9] });
    expect(isPermutation(order, 1300)).toBe(true);
    expect([order[0], order.at(-1)]).toEqual([7, 9]);
  });
});

describe('keepOrder', () => {
  it('keeps the teacher’s order, and puts in what is new', () => {
    fc.assert(
      fc.property(stops(14), fc.infiniteStream(fc.nat(13)), (all, places) => {
        const own = [...new Set([...places.take(6)].filter((place) => place < all.length))];
        const order = keepOrder(all, own);
        expect(isPermutation(order, all.length)).toBe(true);
        expect(order.filter((place) => own.includes(place))).toEqual(own);
      }),
    );
  });

  it('puts very many new ones behind, in an order of their own', () => {
    const many = Array.from({ length: 900 }, (_, index): Stop => {
      return { points: (index * 37) % 90, events: [index % 11], choice: [index % 3] };
    });
    const order = keepOrder(many, [5, 3, 800]);
    expect(order.slice(0, 3)).toEqual([5, 3, 800]);
    expect(isPermutation(order, 900)).toBe(true);
  });

  it('leaves out what is gone', () => {
    const all: Stop[] = [{ points: 1, events: [1], choice: [0] }];
    expect(keepOrder(all, [4, 0])).toEqual([0]);
  });
});
