import fc from 'fast-check';
import { strToU8 } from 'fflate';
import { describe, expect, it } from 'vitest';
import { samples } from '../../../samples.fixture';
import { must } from '../../issue';
import { readCsv, writeCsv } from '.';

const COLUMNS = ['name', 'about'] as const;
const read = (bytes: Uint8Array) => readCsv(bytes, COLUMNS, ['name']);
const rowsOf = (bytes: Uint8Array) => must(read(bytes)).map(({ of }) => of);

describe('readCsv', () => {
  it.each([
    ['commas', 'Name,About\nAda,"a, b"\n'],
    ['semicolons', 'name;about\r\nAda;a, b\r\n'],
    ['tabs', 'about\tname\na, b\tAda'],
    ['a mark in front, and a column more', '\uFEFFname,shoe,about\nAda,43,"a, b"\n\n'],
  ])('%s', (_, text) => {
    expect(rowsOf(strToU8(text))).toEqual([{ name: 'Ada', about: 'a, b' }]);
  });

  it('letters as spreadsheets write them: UTF-16 with its mark, Windows-1252 without any', () => {
    const text = 'name,about\nJürgen,é\n';
    const wide = new Uint8Array(text.length * 2 + 2);
    wide.set([0xff, 0xfe]);
    [...text].forEach((one, at) => wide.set([one.charCodeAt(0), 0], at * 2 + 2));
    const narrow = Uint8Array.from([...text].map((one) => one.charCodeAt(0)));
    const expected = [{ name: 'Jürgen', about: 'é' }];
    expect([wide, narrow, strToU8(text)].map(rowsOf)).toEqual([expected, expected, expected]);
  });

  it('knows its lines, and takes a guarded formula as it was', () => {
    const [, second] = must(
      read(
        strToU8(
          writeCsv(COLUMNS, [
            { name: 'A', about: '' },
            { name: '=B', about: '-' },
          ]),
        ),
      ),
    );
    expect(second).toEqual({ line: 3, of: { name: '=B', about: '-' } });
  });

  it('gives back what was written', () => {
    const cell = fc.string({ unit: 'grapheme' }).map((one) => one.replace(/[\r\n]/g, ' ').trim());
    const row = fc.record({
      name: cell.filter((one) => one !== '' && !one.startsWith("'")),
      about: cell.filter((one) => !one.startsWith("'")),
    });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1 }), (rows) => {
        expect(rowsOf(strToU8(writeCsv(COLUMNS, rows)))).toEqual(rows);
      }),
      { seed: 4 },
    );
  });

  it.each([
    ['an open quote', 'name,about\n"Ada,x\nB,y\n', 'csv-quotes'],
    ['no such column', 'first,last\nA,B\n', 'csv-columns'],
    ['nothing', '', 'csv-columns'],
    ['too many rows', `name\n${'A\n'.repeat(20_001)}`, 'csv-rows'],
    ['too large', `name\n${'A'.repeat(4_000_001)}`, 'file-large'],
  ])('%s is refused', (_, text, code) => {
    const result = read(strToU8(text));
    expect(result.ok ? [] : result.issues.map((one) => one.code)).toEqual([code]);
  });

  it('any bytes are read or refused', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
        read(bytes);
      }),
      { numRuns: samples(2000), seed: 8 },
    );
  });
});
