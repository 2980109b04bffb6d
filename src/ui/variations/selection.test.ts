import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chooseRow, moveRows, putRows } from './selection';

const order = [10, 11, 12, 13, 14];

describe('chooseRow', () => {
  it('alone, through and besides', () => {
    const one = chooseRow(null, order, 11, 'alone');
    expect(one.rows).toEqual([11]);
    const through = chooseRow(one, order, 13, 'through');
    expect(through).toEqual({ active: 13, anchor: 11, rows: [11, 12, 13] });
    expect(chooseRow(through, order, 10, 'through').rows).toEqual([10, 11]);
    expect(chooseRow(through, order, 10, 'besides').rows).toEqual([10, 11, 12, 13]);
    expect(chooseRow(through, order, 12, 'besides').rows).toEqual([11, 13]);
  });

  it('the last one that is chosen stays', () => {
    const one = chooseRow(null, order, 11, 'alone');
    expect(chooseRow(one, order, 11, 'besides')).toEqual(one);
  });

  it('rows that are gone are not chosen any more', () => {
    const all = chooseRow(chooseRow(null, order, 10, 'alone'), order, 14, 'through');
    expect(chooseRow(all, [11, 12, 15], 15, 'besides').rows).toEqual([11, 12, 15]);
    expect(chooseRow(all, [12, 15], 15, 'through').rows).toEqual([15]);
  });
});

describe('moveRows', () => {
  it('moves them together and stops at the ends', () => {
    expect(moveRows(order, [12], 1)).toEqual([10, 11, 13, 12, 14]);
    expect(moveRows(order, [12, 13], -1)).toEqual([10, 12, 13, 11, 14]);
    expect(moveRows(order, [10, 11], -1)).toEqual(order);
    expect(moveRows(order, [13, 14], 1)).toEqual(order);
    expect(moveRows(order, [10], 8)).toEqual([11, 12, 13, 14, 10]);
  });

  it('loses and doubles none, and keeps the order of both', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(order, { minLength: 1 }),
        fc.integer({ min: -9, max: 9 }).filter((by) => by !== 0),
        (rows, by) => {
          const moved = moveRows(order, rows, by);
          expect([...moved].sort()).toEqual(order);
          const among = (wanted: boolean) => moved.filter((row) => rows.includes(row) === wanted);
          expect(among(true)).toEqual([...rows].sort());
          expect(among(false)).toEqual(order.filter((row) => !rows.includes(row)));
        },
      ),
      { seed: 3 },
    );
  });
});

describe('putRows', () => {
  it('one row takes the place of the other', () => {
    expect(putRows(order, [10], 12)).toEqual([11, 12, 10, 13, 14]);
    expect(putRows(order, [14], 12)).toEqual([10, 11, 14, 12, 13]);
  });

  it('several go there together; onto one of themselves they stay', () => {
    expect(putRows(order, [10, 11], 14)).toEqual([12, 13, 14, 10, 11]);
    expect(putRows(order, [13, 14], 10)).toEqual([13, 14, 10, 11, 12]);
    expect(putRows(order, [10, 12], 12)).toEqual(order);
  });
});
