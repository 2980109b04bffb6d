import { describe, expect, it } from 'vitest';
import { MOST_DECIDED } from '@/core/family';
import { canDecide, dropped, keptAgain, pinned } from './decisions';

const keys = (count: number, from = 0) =>
  Array.from({ length: count }, (_, nth) => `m${from + nth}`);
const NOTHING = { kept: null, dropped: [] };

describe('decisions about members', () => {
  it('are kept for so many, and for none more', () => {
    expect(canDecide(MOST_DECIDED)).toBe(true);
    expect(canDecide(MOST_DECIDED + 1)).toBe(false);
    const full = dropped(NOTHING, keys(MOST_DECIDED));
    expect(full?.dropped).toHaveLength(MOST_DECIDED);
    const before = { kept: null, dropped: keys(MOST_DECIDED - 1) };
    expect(dropped(before, ['x'])?.dropped).toHaveLength(MOST_DECIDED);
    expect(dropped(before, ['x', 'y'])).toBeNull();
  });

  it('of few that are kept, any number can be left out', () => {
    const kept = keys(3);
    const before = { kept, dropped: keys(MOST_DECIDED, 10) };
    expect(dropped(before, ['m1'])).toEqual({ kept: ['m0', 'm2'] });
    expect(keptAgain({ kept: ['m0', 'm2'], dropped: [] }, ['m1', 'm2'])).toEqual({
      kept: ['m0', 'm2', 'm1'],
      dropped: [],
    });
  });

  it('what was left out comes back', () => {
    expect(keptAgain({ kept: null, dropped: keys(3) }, ['m1'])).toEqual({
      kept: null,
      dropped: ['m0', 'm2'],
    });
  });

  it('a member stands at one end, and goes off it again', () => {
    const family = { first: ['a'], last: ['b', 'c'], order: null };
    expect(pinned(family, ['b'], 'first', [])).toEqual({ first: ['a', 'b'], last: ['c'] });
    expect(pinned(family, ['a'], 'last', [])).toEqual({ first: [], last: ['a', 'b', 'c'] });
    expect(pinned(family, ['b', 'c'], 'last', [])).toEqual({ first: ['a'], last: [] });
    expect(pinned(family, ['c'], 'last', [])).toEqual({ first: ['a'], last: ['b'] });
  });

  it('an order made by hand goes along', () => {
    const order = ['a', 'b', 'c'];
    const family = { first: [], last: [], order };
    expect(pinned(family, ['c'], 'first', order)).toMatchObject({ order: ['c', 'a', 'b'] });
    expect(pinned(family, ['a'], 'last', order)).toMatchObject({ order: ['b', 'c', 'a'] });
  });
});
