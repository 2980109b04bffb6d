import { describe, expect, it } from 'vitest';
import { barsOfText, textOfBars } from '.';

describe('bars of a typed line', () => {
  it('are what stands between its bar lines, and make the line again', () => {
    expect(barsOfText('4. 4 8 4 | 2 2')).toEqual(['4. 4 8 4', '2 2']);
    expect(textOfBars(barsOfText('4. 4 8 4 | 2 2'))).toBe('4. 4 8 4 | 2 2');
    expect(barsOfText('')).toEqual(['']);
  });

  it('keep an empty bar in the middle, and leave empty ones at the end out', () => {
    expect(textOfBars(['4 4 4 4 ', '', ' 2 2', '', ''])).toBe('4 4 4 4 |  | 2 2');
    expect(textOfBars(['', ''])).toBe('');
  });
});
