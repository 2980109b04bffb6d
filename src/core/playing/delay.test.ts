import { describe, expect, it } from 'vitest';
import { delayOfTaps } from '.';

describe('delayOfTaps', () => {
  it.each([
    ['one tap that went wrong counts for nothing', [78, 82, 80, 79, 85, 80, 300, 81], 81],
    ['early taps give less than nothing', [-20, -22, -19, -21, -18, -20, -23, -20], -20],
    ['too few', [80, 80, 80], null],
    ['too uneven', [0, 100, 200, -100, 50, 250, -200, 10], null],
  ])('%s', (_, offsets, expected) => {
    expect(delayOfTaps(offsets)).toBe(expected);
  });
});
