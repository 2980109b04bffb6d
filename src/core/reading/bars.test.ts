import { describe, expect, it } from 'vitest';
import { barNumbers, barsOfText, parseLine, textOfBars, partOfPage } from '.';
import { must } from '../issue';
import { parseMeter } from '../time';

describe('bars of a typed line', () => {
  it('are what stands between its bar lines, and make the line again', () => {
    expect(barsOfText('4. 4 8 4 | 2 2')).toEqual(['4. 4 8 4', '2 2']);
    expect(textOfBars(barsOfText('4. 4 8 4 | 2 2'))).toBe('4. 4 8 4 | 2 2');
    expect(barsOfText('')).toEqual(['']);
  });

  it('have the numbers that they have in the line, repeats counted', () => {
    const bars = ['4 4 4 4 x7', '2 2', 'x3', '4. 4 8 4'];
    expect(barNumbers(bars)).toEqual([
      { from: 1, count: 7 },
      { from: 8, count: 1 },
      { from: 9, count: 2 },
      { from: 11, count: 1 },
    ]);
    const meter = must(parseMeter('4/4'));
    expect(must(parseLine(textOfBars(bars), meter)).bars).toHaveLength(11);
    const wrong = parseLine(textOfBars([...bars.slice(0, 3), '4 4 4 4 4']), meter);
    expect(wrong).toMatchObject({ issues: [{ bar: 11 }] });
  });

  it('keep an empty bar in the middle, and leave empty ones at the end out', () => {
    expect(textOfBars(['4 4 4 4 ', '', ' 2 2', '', ''])).toBe('4 4 4 4 |  | 2 2');
    expect(textOfBars(['', ''])).toBe('');
  });
});

describe('partOfPage', () => {
  const page = ['4 4 2~', '2 2', 'x3', '8 8 4 2~ x2', '1'];
  it.each([
    [0, 1, '4 4 2', true],
    [1, 1, '2 2', true],
    [0, 2, '4 4 2~ | 2 2', false],
    [2, 1, '2 2', false],
    [3, 1, '8 8 4 2 x2', true],
    [3, 2, '8 8 4 2~ x2 | 1', false],
    [4, 1, '1', true],
  ])('%i and %i bars of it', (from, count, text, cut) => {
    expect(partOfPage(page, from, count)).toEqual({ text, cut });
  });
});
