import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { blankRecipe, toggleOstinato } from '../recipe';
import { lines } from './family.fixture';
import {
  familyOf,
  memberAt,
  memberKey,
  memberRecipe,
  openFamily,
  readFamily,
  standsAsWritten,
} from '.';

/** A family in a file of the first format: three policies, one of which has another name by now. */
const FORMER = {
  ...familyOf(blankRecipe()),
  version: 1,
  first: 'b.rest',
  last: null,
  base: { ...toggleOstinato(blankRecipe(), 'rock-8ths'), version: 1, clash: 'rest' },
  axes: [lines('4 4', '8 8 4'), { at: 'clash', values: ['rest', 'merge', 'refuse'] }],
  dropped: ['a.rest'],
};

describe('a family of the first format', () => {
  const read = must(readFamily(JSON.parse(JSON.stringify(FORMER))));

  it('means what it meant', () => {
    expect(read.base).toMatchObject({ version: 2, clash: 'throughout' });
    expect(read.axes[1]).toEqual({ at: 'clash', values: ['throughout', 'merge', 'refuse'] });
    expect(read.dropped).toEqual(FORMER.dropped);
    expect(read).toMatchObject({ first: ['b.rest'], last: [] });
    expect(standsAsWritten(read)).toBe(false);
  });

  it('has its members by the keys that decisions name them by', () => {
    const opened = must(openFamily(read));
    const keys = Array.from({ length: opened.size }, (_, index) =>
      memberKey(opened, memberAt(opened, index)),
    );
    const mine = keys.filter((key) => key.includes('rest'));
    expect(mine).toHaveLength(2);
    expect(keys.filter((key) => key.includes('throughout'))).toEqual([]);
    const first = memberRecipe(opened, memberAt(opened, keys.indexOf(mine[0] ?? '')));
    expect(first.clash).toBe('throughout');
  });

  it('is one of now once it is stored again', () => {
    expect(must(readFamily(JSON.parse(JSON.stringify(read))))).toEqual(read);
  });
});
