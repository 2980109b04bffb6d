import fc from 'fast-check';
import { Combination } from 'js-combinatorics';
import { describe, expect, it } from 'vitest';
import {
  countPlacements,
  evenPlacement,
  placementGrid,
  placements,
  placementSlots,
  type PlacementRule,
} from '.';

const beat: PlacementRule = { slots: 4, least: 1, most: 2, spacing: 'adjacent', cyclic: true };

function all(rule: PlacementRule): readonly (readonly number[])[] {
  return [...placements(rule)];
}

describe('placements of the bass drum within the beat of four (common practice, no source)', () => {
  it('4 singles and 4 adjacent pairs are 8', () => {
    expect(all({ ...beat, most: 1 })).toHaveLength(4);
    expect(all({ ...beat, least: 2 }).map((one) => placementGrid(one, 4, 'normal'))).toEqual([
      'xx--',
      'x--x',
      '-xx-',
      '--xx',
    ]);
    expect(countPlacements(beat)).toBe(8);
  });

  it('all pairs 6; all non-empty subsets 15, 7 in triplets', () => {
    expect(countPlacements({ ...beat, least: 2, spacing: 'any' })).toBe(6);
    expect(countPlacements({ ...beat, most: 4, spacing: 'any' })).toBe(15);
    expect(countPlacements({ ...beat, slots: 3, most: 3, spacing: 'any' })).toBe(7);
  });

  it('between hi-hat 8ths a bar of 4/4 has 8 slots', () => {
    const free = [1, 3, 5, 7, 9, 11, 13, 15];
    const rule = { ...beat, slots: 16, least: 1, most: 1, spacing: 'any', free } as const;
    expect(all(rule)).toHaveLength(8);
  });

  it('anchors are always taken, and density is capped', () => {
    const rule = { slots: 16, least: 3, most: 3, spacing: 'any', cyclic: true } as const;
    const anchored = all({ ...rule, anchors: [4, 12] });
    expect(anchored).toHaveLength(14);
    expect(anchored.every((one) => one.includes(4) && one.includes(12))).toBe(true);
  });
});

describe('placements against the combinatorics library', () => {
  it.each([
    [5, 2],
    [8, 3],
    [12, 6],
  ])('%i over %i gives the same sets', (slots, count) => {
    const seed = Array.from({ length: slots }, (_, index) => index);
    const theirs = [...new Combination(seed, count)].map((one) => one.join(' ')).sort();
    const ours = all({ slots, least: count, most: count, spacing: 'any', cyclic: false });
    expect(ours.map((one) => one.join(' ')).sort()).toEqual(theirs);
  });
});

describe('placements', () => {
  const rule = fc
    .record({
      slots: fc.integer({ min: 1, max: 10 }),
      least: fc.integer({ min: 1, max: 4 }),
      most: fc.integer({ min: 1, max: 6 }),
      spacing: fc.constantFrom('any', 'adjacent', 'apart'),
      cyclic: fc.boolean(),
      anchors: fc.option(fc.uniqueArray(fc.nat({ max: 3 }), { maxLength: 2 }), { nil: undefined }),
      free: fc.option(fc.uniqueArray(fc.nat({ max: 7 })), { nil: undefined }),
    })
    .map(({ anchors, free, ...one }) => {
      const within = (all: readonly number[]) => all.filter((slot) => slot < one.slots);
      const [always, may] = [within(anchors ?? []), free && within(free)];
      return { ...one, ...(always.length > 0 && { anchors: always }), ...(may && { free: may }) };
    }) as fc.Arbitrary<PlacementRule>;

  it('are counted as many as are made, each once, and keep their spacing', () => {
    fc.assert(
      fc.property(rule, (one) => {
        const made = all(one).map((placed) => placed.join(' '));
        expect(new Set(made).size).toBe(made.length);
        expect(countPlacements(one)).toBe(made.length);
      }),
    );
  });

  it('agree with brute force over all subsets', () => {
    fc.assert(
      fc.property(rule, (one) => {
        const found: string[] = [];
        for (let bits = 1; bits < 2 ** one.slots; bits += 1) {
          const set = Array.from({ length: one.slots }, (_, slot) => slot).filter(
            (slot) => (bits >> slot) & 1,
          );
          if (set.length < one.least || set.length > one.most) continue;
          const { anchors = [], free } = one;
          if (!anchors.every((slot) => set.includes(slot))) continue;
          if (free && !set.every((slot) => anchors.includes(slot) || free.includes(slot))) continue;
          const next = (slot: number) =>
            one.cyclic ? (slot + 1) % one.slots : slot + 1 < one.slots ? slot + 1 : -1;
          const pairs = set.filter(
            (slot) => next(slot) !== slot && set.includes(next(slot)),
          ).length;
          const run = pairs >= set.length - 1;
          if (one.spacing === 'adjacent' && !run) continue;
          if (one.spacing === 'apart' && pairs > 0) continue;
          found.push(set.join(' '));
        }
        const made = all(one).map((placed) => placed.join(' '));
        expect(made.sort()).toEqual(found.sort());
      }),
    );
  });

  it('as even as can be are the rotations of one, by brute force', () => {
    for (let slots = 1; slots <= 12; slots += 1) {
      for (let notes = 1; notes <= slots; notes += 1) {
        const even = evenPlacement(notes, slots);
        const turned = new Set(
          Array.from({ length: slots }, (_, by) =>
            even
              .map((slot) => (slot + by) % slots)
              .sort((a, b) => a - b)
              .join(' '),
          ),
        );
        const rule = { slots, least: notes, most: notes, spacing: 'even', cyclic: true } as const;
        expect(new Set(all(rule).map((one) => one.join(' ')))).toEqual(turned);
        expect(countPlacements(rule)).toBe(turned.size);
      }
    }
  });

  // Toussaint 2005, “The Euclidean algorithm generates traditional musical rhythms”, its list, from memory.
  it.each([
    [2, 3, 'x-x'],
    [2, 5, 'x-x--'],
    [3, 4, 'x-xx'],
    [3, 5, 'x-x-x'],
    [3, 7, 'x-x-x--'],
    [3, 8, 'x--x--x-'],
    [4, 7, 'x-x-x-x'],
    [4, 9, 'x-x-x-x--'],
    [4, 11, 'x--x--x--x-'],
    [5, 6, 'x-xxxx'],
    [5, 7, 'x-xx-xx'],
    [5, 8, 'x-xx-xx-'],
    [5, 9, 'x-x-x-x-x'],
    [5, 11, 'x-x-x-x-x--'],
    [5, 12, 'x--x-x--x-x-'],
    [5, 16, 'x--x--x--x--x---'],
    [7, 8, 'x-xxxxxx'],
    [7, 12, 'x-xx-x-xx-x-'],
    [7, 16, 'x--x-x-x--x-x-x-'],
    [9, 16, 'x-xx-x-x-xx-x-x-'],
  ])('E(%i, %i) is %s', (notes, slots, grid) => {
    expect(placementGrid(evenPlacement(notes, slots), slots, 'normal')).toBe(grid);
  });

  it('are counted without making them all: 16 of 32, none next to another, in a ring', () => {
    const rule = { slots: 32, least: 16, most: 16, spacing: 'apart', cyclic: true } as const;
    expect(all(rule)).toHaveLength(2);
    expect(countPlacements({ ...rule, anchors: [0] })).toBe(1);
    // By hand: two arcs of 13 slots beside the anchors share the other six, C(14 − k, k) ways each.
    expect(countPlacements({ ...rule, least: 8, most: 8, anchors: [4, 20] })).toBe(58_277);
  });

  it('anchors stay loudest', () => {
    expect(placementGrid([0, 3], 4, 'ghost', [0])).toBe('X--g');
  });

  it('read back from their grid', () => {
    expect(placementSlots('x--x')).toEqual([0, 3]);
    expect(placementGrid([1, 2], 4, 'ghost')).toBe('-gg-');
  });
});
