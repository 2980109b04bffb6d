import { describe, expect, it } from 'vitest';
import { seeded } from '../chance';
import { expectedOf, learningOf, rateAt, type FreshTry } from './learning';

const BEFORE = { clean: 2, other: 2 };

/** Tries of a minute on one rung after the other, so many on each, by somebody who learns at a rate. */
function triesAt(aMinute: number, start: number, random: () => number, count = 100): FreshTry[] {
  return Array.from({ length: count }, (_, nth) => {
    const minutes = nth % 20;
    return { minutes, clean: random() >= (1 - start) * Math.exp(-aMinute * minutes) };
  });
}

describe('learningOf', () => {
  it('knows nothing without tries: a seventh a minute, and what was thought of the beginning', () => {
    const [learning] = learningOf([[]], { clean: 3, other: 1 });
    const { aMinute, start } = expectedOf(learning ?? []);
    expect(aMinute).toBeCloseTo(0.15, 2);
    expect(start).toBeCloseTo(3 / 4, 2);
    expect(learning?.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
  });

  it('finds the rate and the beginning that tries were drawn with', () => {
    for (const rate of [0.02, 0.08, 0.3]) {
      const found = Array.from({ length: 20 }, (_, seed) => {
        const random = seeded(seed);
        const items = [0.2, 0.5].map((start) => triesAt(rate, start, random));
        return learningOf(items, BEFORE).map(expectedOf);
      });
      const mean = (of: (one: (typeof found)[number]) => number) =>
        found.reduce((sum, one) => sum + of(one), 0) / found.length;
      expect(mean(([one]) => Math.log((one?.aMinute ?? 0) / rate))).toBeGreaterThan(-0.5);
      expect(mean(([one]) => Math.log((one?.aMinute ?? 0) / rate))).toBeLessThan(0.5);
      // The more is learnt on a rung, the less is known of its beginning.
      expect(Math.abs(mean(([one]) => one?.start ?? 0) - 0.2)).toBeLessThan(0.1);
      expect(Math.abs(mean(([, other]) => other?.start ?? 0) - 0.5)).toBeLessThan(0.1);
    }
  });

  it('says the same as adding up every rate and beginning as plain products', () => {
    const tries = [
      { minutes: 0, clean: false },
      { minutes: 2, clean: true },
      { minutes: 5, clean: false },
    ];
    const [learning] = learningOf([tries], BEFORE);
    // Bayes by hand: the rate's own chance, by a beginning's, by what the three tries were.
    const of = ({ aMinute }: { aMinute: number }, at: number) => {
      let sum = 0;
      for (let nth = 0; nth < 25; nth += 1) {
        const start = (nth + 0.5) / 25;
        const left = (minutes: number) => (1 - start) * Math.exp(-aMinute * minutes);
        sum += start * (1 - start) * left(0) * (1 - left(2)) * left(5);
      }
      return sum * Math.exp(-0.5 * (0.75 * at - 6) ** 2);
    };
    const weights = learning?.map(of) ?? [];
    const all = weights.reduce((sum, one) => sum + one, 0);
    learning?.forEach(({ chance }, at) => expect(chance).toBeCloseTo((weights[at] ?? 0) / all, 9));
  });

  it('who never gets anywhere is not thought to, and long logs stay finite', () => {
    const wall = Array.from({ length: 100 }, (_, nth) => ({ minutes: 2 * nth, clean: false }));
    const [learning] = learningOf([wall], BEFORE);
    const { aMinute, start } = expectedOf(learning ?? []);
    expect(aMinute).toBeLessThan(0.01);
    expect(start).toBeLessThan(0.1);
  });

  it('draws each rate as often as it is likely', () => {
    const random = seeded(4);
    const [learning = []] = learningOf([triesAt(0.1, 0.4, random, 30)], BEFORE);
    const drawn = Array.from({ length: 4000 }, () => rateAt(learning, random()));
    for (const rate of learning) {
      expect(drawn.filter((one) => one === rate).length / 4000).toBeCloseTo(rate.chance, 1);
    }
  });
});
