import { describe, expect, it } from 'vitest';
import { capitalPixels, readableSize, USUAL_SEAT } from '.';

const TABLET = { width: 1280, height: 800 };

describe('capitalPixels', () => {
  it('57 px at 1.5 m on a ten-inch screen of 1280x800 (22 minutes of arc, ISO 9241-303, from memory)', () => {
    expect(Math.round(capitalPixels(USUAL_SEAT, TABLET))).toBe(57);
  });

  it('grows with the distance, and with how fine the screen is', () => {
    const far = capitalPixels({ inches: 10, metres: 3 }, TABLET);
    expect(far).toBeCloseTo(2 * capitalPixels(USUAL_SEAT, TABLET));
    const large = capitalPixels({ inches: 20, metres: 1.5 }, TABLET);
    expect(large).toBeCloseTo(capitalPixels(USUAL_SEAT, TABLET) / 2);
  });
});

describe('readableSize', () => {
  it('is about 80 px of text there, and what does not fit is told', () => {
    expect(readableSize(USUAL_SEAT, TABLET)).toEqual({
      size: expect.closeTo(81.5, 0),
      metres: 1.5,
    });
    const { size, metres } = readableSize({ inches: 10, metres: 5 }, TABLET);
    expect(size).toBe(160);
    expect(metres).toBeCloseTo(2.94, 1);
  });
});
