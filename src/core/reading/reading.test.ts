import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue } from '@/words';
import { must } from '../issue';
import { parseMeter, quarters } from '../time';
import { formatLine, gapsAround, lineTicks, onsets, parseLine } from '.';

const fourFour = must(parseMeter('4/4'));
const sixteenth = quarters(1, 4);

function attacks(text: string) {
  return onsets(must(parseLine(text, fourFour))).map((o) => [
    o.at / sixteenth,
    o.sounds / sixteenth,
  ]);
}

describe('parseLine', () => {
  it('reads dots, rests, ties and bar lines', () => {
    expect(attacks('4. 4 8 4')).toEqual([
      [0, 6],
      [6, 4],
      [10, 2],
      [12, 4],
    ]);
    expect(attacks('8r 4. 2')).toEqual([
      [2, 6],
      [8, 8],
    ]);
    expect(attacks('2 4 8 8~ | 4 4 2')).toEqual([
      [0, 8],
      [8, 4],
      [12, 2],
      [14, 6],
      [20, 4],
      [24, 8],
    ]);
  });

  it('joins ties written in one word and reads tuplets', () => {
    expect(attacks('4~8 8 2')).toEqual([
      [0, 6],
      [6, 2],
      [8, 8],
    ]);
    const triplet = onsets(must(parseLine('3(8 8 8) 4 2', fourFour)));
    expect(triplet.map((o) => o.at / quarters(1, 3))).toEqual([0, 1, 2, 3, 6]);
    expect(triplet[0]?.reads).toBe(quarters(1, 2));
    expect(triplet[0]?.sounds).toBe(quarters(1, 3));
  });

  it.each([
    ['4. 4 8 4 x3', '4. 4 8 4 | 4. 4 8 4 | 4. 4 8 4'],
    ['4 4 4 4 | 8 8 4 2 | x2', '4 4 4 4 | 8 8 4 2 | 8 8 4 2'],
    ['(4. 4 8 4) x3', '4. 4 8 4 | 4. 4 8 4 | 4. 4 8 4'],
    ['(4. 4 8 4 | 2 2) x2', '4. 4 8 4 | 2 2 | 4. 4 8 4 | 2 2'],
    ['(8 8) x2 4 4', '8 8 8 8 4 4'],
    ['(3(8 8 8)) x4', '3(8 8 8) 3(8 8 8) 3(8 8 8) 3(8 8 8)'],
  ])('%s plays bars again: %s', (text, all) => {
    expect(formatLine(must(parseLine(text, fourFour)))).toBe(all);
  });

  it('accepts American and British words', () => {
    const short = must(parseLine('4. 4 8r 4', fourFour));
    for (const words of [
      'dotted quarter, quarter, eighth rest, quarter',
      'dotted crotchet crotchet quaver rest crotchet',
      'dotted quarter note, quarter note, 8th rest, quarter',
    ]) {
      expect(must(parseLine(words, fourFour))).toEqual(short);
    }
  });

  it('may end before its last bar does', () => {
    const [whole, begun] = must(parseLine('4 4 4 4 | 4. 8', fourFour)).bars;
    expect([whole?.length, begun?.length]).toEqual([4, 2]);
  });

  it.each([
    ['', 'line-empty'],
    ['4. 4 h 4', 'line-token'],
    ['4. 4 8 3', 'line-token'],
    ['4. 4 8 | 4 4 4 4', 'bar-length'],
    ['4. 4 8 4 4 | 4', 'bar-length'],
    ['4 4 4 4 | 4 4 4 4 4', 'bar-length'],
    ['4 4 4 4~', 'line-tie'],
    ['4~ 4r 2', 'line-tie'],
    ['3(8 8) 4 2', 'line-tuplet'],
    ['11(8 8 8) 4 2', 'line-tuplet'],
    ['3(8 8 8 4 2', 'line-tuplet'],
    ['4 4 4 4 )', 'line-token'],
  ])('“%s” is refused as %s', (text, code) => {
    const parsed = parseLine(text, fourFour);
    expect(parsed).toMatchObject({ ok: false, issues: [{ code }] });
  });

  it('says how long a bar is, how long it should be, and how to mend it', () => {
    const parsed = parseLine('4 4 4 4 | 4. 4 8 | 4', fourFour);
    expect(parsed.ok ? [] : parsed.issues.map((one) => sayIssue(ENGLISH, one))).toEqual([
      'Bar 2 holds 3 quarters, a quarter short of a bar of 4/4. Add notes or rests, such as 4r, or take the bar lines out: a line of any length goes round.',
    ]);
  });
});

/** A bar of random values that adds up, made by taking from what is left. */
const barText = fc
  .array(fc.constantFrom('4', '8', '16', '4.', '8r', '8.', '3(8 8 8)', '4r', '16r'), {
    maxLength: 20,
  })
  .map((wanted) => {
    const lengths: Record<string, number> = {
      '4': 4,
      '8': 2,
      '16': 1,
      '4.': 6,
      '8r': 2,
      '8.': 3,
      '3(8 8 8)': 4,
      '4r': 4,
      '16r': 1,
    };
    let left = 16;
    const taken = wanted.filter((token) => {
      const fits = (lengths[token] ?? 99) <= left;
      if (fits) left -= lengths[token] ?? 0;
      return fits;
    });
    return [...taken, ...Array.from({ length: left }, () => '16')].join(' ');
  });

describe('formatLine', () => {
  it('gives back what was parsed', () => {
    fc.assert(
      fc.property(fc.array(barText, { minLength: 1, maxLength: 4 }), (bars) => {
        const text = bars.join(' | ');
        expect(formatLine(must(parseLine(text, fourFour)))).toBe(text);
      }),
    );
  });

  it.each(['4. 4 8 4', '8r 4~8 2', '4~ 3(8 8 8) 2', '2 4 8 8~ | 4 4 2'])('keeps “%s”', (text) => {
    expect(formatLine(must(parseLine(text, fourFour)))).toBe(text);
  });
});

describe('gapsAround', () => {
  it('counts rests, ties and the repeat alike: `8r 4 4 8 4` has gaps 4 4 2 6', () => {
    const line = must(parseLine('8r 4 4 8 4', fourFour));
    expect(gapsAround(onsets(line), lineTicks(line)).map((gap) => gap / sixteenth)).toEqual([
      4, 4, 2, 6,
    ]);
  });

  it('adds up to the line', () => {
    fc.assert(
      fc.property(fc.array(barText, { minLength: 1, maxLength: 4 }), (bars) => {
        const line = must(parseLine(bars.join(' | '), fourFour));
        const found = onsets(line);
        const sum = gapsAround(found, lineTicks(line)).reduce((a, b) => a + b, 0);
        return found.length === 0 ? sum === 0 : sum === lineTicks(line);
      }),
    );
  });
});
