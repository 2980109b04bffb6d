import fc from 'fast-check';
import papaparse from 'papaparse';
import { describe, expect, it } from 'vitest';
import { writeCsv } from '.';

describe('writeCsv', () => {
  it('quotes as RFC 4180 does: commas, quotes and line breaks (its examples, section 2)', () => {
    const rows = [{ a: 'aaa', b: 'b "bb', c: 'c\r\ncc' }];
    expect(writeCsv(['a', 'b', 'c'], rows)).toBe('a,b,c\r\naaa,"b ""bb","c\r\ncc"\r\n');
  });

  it('has a head alone where there are no rows, and nothing for what is not known', () => {
    expect(writeCsv(['a', 'b'], [])).toBe('a,b\r\n');
    expect(writeCsv(['a', 'b'], [{ a: null, b: 0 }])).toBe('a,b\r\n,0\r\n');
  });

  it('lets no text be a formula', () => {
    expect(writeCsv(['a'], [{ a: '=SUM(A1)' }])).toBe(`a\r\n"'=SUM(A1)"\r\n`);
  });

  it('is read back by a parser, whatever stands in it', () => {
    const text = fc.string({ unit: 'grapheme' }).filter((one) => !/^[=+\-@\t\r']/.test(one));
    fc.assert(
      fc.property(fc.array(fc.tuple(text, text), { minLength: 1 }), (pairs) => {
        const csv = writeCsv(
          ['a', 'b'],
          pairs.map(([a, b]) => ({ a, b })),
        );
        const { data } = papaparse.parse<string[]>(csv, { newline: '\r\n', delimiter: ',' });
        expect(data.slice(1, -1)).toEqual(pairs);
      }),
    );
  });
});
