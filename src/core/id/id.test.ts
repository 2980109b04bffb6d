import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { afterId, makeId, parseId } from './id';

const instant = fc.integer({ min: 0, max: 4_102_444_800_000 });
const random = fc.uint8Array({ minLength: 12, maxLength: 12 });

describe('makeId', () => {
  it('sorts by the instant', () => {
    fc.assert(
      fc.property(instant, instant, random, random, (a, b, x, y) => {
        if (a < b) expect(makeId(a, x) < makeId(b, y)).toBe(true);
      }),
    );
  });
});

describe('afterId', () => {
  it.each([
    ['0000000000000000000000', '0000000000000000000001'],
    ['000000000000000000000h', '000000000000000000000j'],
    ['00000000000000000000az', '00000000000000000000b0'],
    ['01m53v58nhzzzzzzzzzzzz', '01m53v58nj000000000000'],
  ])('%s, then %s', (id, next) => {
    expect(afterId(id as never)).toBe(next);
  });

  it('is an id that sorts right after', () => {
    fc.assert(
      fc.property(instant, random, (ms, bytes) => {
        const id = makeId(ms, bytes);
        const next = afterId(id);
        expect(parseId(next)).toBe(next);
        expect(id < next).toBe(true);
      }),
    );
  });
});
