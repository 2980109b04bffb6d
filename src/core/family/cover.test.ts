import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { seeded } from '../chance';
import { bpm } from '../time';
import { FLOWS, opened, TEXTURES } from './family.fixture';
import { countHeld, coverMembers, judgeFamily, keepBest } from '.';

/** Every choice of the product of these sizes. */
function product(sizes: readonly number[]): { choice: readonly number[] }[] {
  return sizes
    .reduce<readonly (readonly number[])[]>(
      (all, size) =>
        all.flatMap((one) => Array.from({ length: size }, (_, value) => [...one, value])),
      [[]],
    )
    .map((choice) => ({ choice }));
}

/** Pairs of values of two axes that choices hold: brute force. */
function pairsOf(choices: readonly (readonly number[])[]): Set<string> {
  const pairs = new Set<string>();
  for (const choice of choices) {
    choice.forEach((a, i) => choice.forEach((b, j) => i < j && pairs.add(`${i}=${a} ${j}=${b}`)));
  }
  return pairs;
}

describe('coverMembers', () => {
  it.each([
    ['45 members', TEXTURES, 15],
    ['9 members', FLOWS, 9],
  ] as const)('every pair once: %s take the known number', (_, axes, size) => {
    const all = opened(...axes);
    const { played } = judgeFamily(all, bpm(80));
    const sizes = all.axes.map((axis) => axis.values.length);
    const cover = coverMembers(played, sizes, 'pairs', seeded(1));
    expect(cover).toHaveLength(size);
    const chosen = cover.map((index) => played[index]?.choice ?? []);
    expect(pairsOf(chosen)).toEqual(pairsOf(played.map((one) => one.choice)));
  });

  it('every value once takes as many as the widest axis', () => {
    const members = product([5, 3, 3]);
    expect(coverMembers(members, [5, 3, 3], 'values', seeded(2))).toHaveLength(5);
  });

  /** Smallest known covering arrays of strength 2: the tables of Colbourn, from memory. */
  it.each([
    [[3, 3, 3], 9],
    [[3, 3, 3, 3], 9],
    [[4, 4, 4], 16],
    [[2, 2, 2, 2, 2], 6],
    [[3, 3, 3, 3, 3], 11],
    [[2, 2, 2, 2, 2, 2], 6],
    [[3, 3, 3, 3, 3, 3], 12],
    [[5, 5, 5], 25],
    [[4, 4, 4, 4], 16],
    [[5, 4, 3, 2], 20],
  ])('%j is covered within 15 %% of the smallest known, %i', (sizes, known) => {
    const members = product(sizes);
    const cover = coverMembers(members, sizes, 'pairs', seeded(3));
    const chosen = cover.map((index) => members[index]?.choice ?? []);
    expect(pairsOf(chosen)).toEqual(pairsOf(members.map((one) => one.choice)));
    expect(cover.length).toBeLessThanOrEqual(Math.floor(known * 1.15));
  });

  it('covers every pair that any member holds, whichever members are left', () => {
    fc.assert(
      fc.property(
        fc.subarray(product([3, 2, 4]), { minLength: 1 }),
        fc.integer({ min: 1, max: 1000 }),
        (members, seed) => {
          const cover = coverMembers(members, [3, 2, 4], 'pairs', seeded(seed));
          const chosen = cover.map((index) => members[index]?.choice ?? []);
          expect(new Set(cover).size).toBe(cover.length);
          expect(pairsOf(chosen)).toEqual(pairsOf(members.map((one) => one.choice)));
        },
      ),
      { numRuns: samples(40) },
    );
  });

  it('with the same chance gives the same', () => {
    const members = product([3, 3, 4]);
    const cover = () => coverMembers(members, [3, 3, 4], 'pairs', seeded(9));
    expect(cover()).toEqual(cover());
  });
});

describe('keepBest', () => {
  const members = product([5, 3, 3]);
  const sizes = [5, 3, 3];
  const cover = coverMembers(members, sizes, 'pairs', seeded(4));
  const held = (count: number) => {
    const kept = keepBest(cover, members.length, count).map((nth) => members[nth] ?? members[0]);
    return countHeld(
      kept.filter((one) => one !== undefined),
      sizes,
      'pairs',
    );
  };

  it('what fewer cannot cover is counted', () => {
    expect(keepBest(cover, members.length, 10)).toHaveLength(10);
    // 10 of the two pairs with five, and all nine of three by three.
    expect(held(10)).toBe(29);
    expect(countHeld(members, sizes, 'pairs')).toBe(39);
    expect(countHeld(members, sizes, 'values')).toBe(11);
  });

  it('each more covers no less; past the cover, others follow', () => {
    const covered = Array.from({ length: 20 }, (_, count) => held(count));
    expect(covered).toEqual([...covered].sort((a, b) => a - b));
    expect(covered.at(-1)).toBe(39);
    expect(new Set(keepBest(cover, members.length, 45)).size).toBe(45);
  });
});

describe('very many members', () => {
  it('are covered without weighing each against each', () => {
    const members = product([200, 250]);
    expect(coverMembers(members, [200, 250], 'pairs', seeded(5))).toHaveLength(50_000);
    expect(coverMembers(members, [200, 250], 'values', seeded(5))).toHaveLength(250);
  });
});
