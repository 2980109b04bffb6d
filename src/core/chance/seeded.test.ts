import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '.';

describe('seeded', () => {
  it('the same seed gives the same numbers, from 0 up to 1', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const [one, other] = [seeded(seed), seeded(seed)];
        const numbers = Array.from({ length: 20 }, one);
        expect(numbers).toEqual(Array.from({ length: 20 }, other));
        expect(numbers.every((number) => number >= 0 && number < 1)).toBe(true);
      }),
    );
  });

  it('is spread evenly: of 10,000 about as many lie in each tenth', () => {
    const random = seeded(7);
    const tenths = Array.from({ length: 10 }, () => 0);
    for (let index = 0; index < 10_000; index += 1) {
      const tenth = Math.floor(random() * 10);
      tenths[tenth] = (tenths[tenth] ?? 0) + 1;
    }
    for (const count of tenths) expect(Math.abs(count - 1000)).toBeLessThan(150);
  });
});
