import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { blankRecipe } from '../recipe';
import { axisAt, familyOf, memberAt, openFamily, orderAsWritten, standsAsWritten } from '.';
import { lines } from './family.fixture';
import type { Axis } from './schema';

const ten: Axis = {
  at: 'play',
  values: Array.from({ length: 10 }, (_, nth) => ({ content: { text: `8 8 4 x${nth + 1}` } })),
};
const twice: Axis = {
  at: 'change',
  index: 0,
  values: [
    { kind: 'one', change: null },
    { kind: 'one', change: { kind: 'plain' } },
  ],
};

describe('orderAsWritten', () => {
  const opened = must(openFamily({ base: blankRecipe(), axes: [ten, twice] }));
  const all = Array.from({ length: opened.size }, (_, index) => index);

  it('ten patterns, two passes: one to ten, then one to ten again', () => {
    const order = orderAsWritten(opened, all, axisAt([ten, twice], { at: 'change', index: 0 }));
    const choices = order.map((index) => memberAt(opened, index).choice);
    expect(choices.map(([pattern]) => pattern)).toEqual([...Array(10).keys(), ...Array(10).keys()]);
    expect(choices.map(([, pass]) => pass)).toEqual([...Array(10).fill(0), ...Array(10).fill(1)]);
  });

  it('by itself the last phrase runs fastest', () => {
    expect(orderAsWritten(opened, [3, 0, 2])).toEqual([0, 2, 3]);
    expect(axisAt([ten, twice], { at: 'change', index: 1 })).toBe(-1);
  });

  it('has each member once, whichever phrase makes the passes', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(all), fc.integer({ min: -1, max: 1 }), (members, passes) => {
        const order = orderAsWritten(opened, members, passes);
        expect([...order].sort((a, b) => a - b)).toEqual([...members].sort((a, b) => a - b));
      }),
      { seed: 5 },
    );
  });
});

describe('standsAsWritten', () => {
  const family = familyOf(blankRecipe());

  it('what was typed as a list does; what was chosen among the materials, or runs, does not', () => {
    expect(standsAsWritten({ ...family, axes: [ten] })).toBe(true);
    expect(standsAsWritten({ ...family, axes: [twice] })).toBe(false);
    expect(standsAsWritten({ ...family, axes: [lines('4 4', '8 8 4')] })).toBe(true);
    const known = { at: 'play' as const, values: ten.values.map((one) => ({ ...one, id: 'x' })) };
    expect(standsAsWritten({ ...family, axes: [known as Axis] })).toBe(false);
  });

  it('the teacher says otherwise; an order made by hand is neither', () => {
    expect(standsAsWritten({ ...family, axes: [ten], written: false })).toBe(false);
    expect(standsAsWritten({ ...family, axes: [twice], written: true })).toBe(true);
    expect(standsAsWritten({ ...family, axes: [ten], written: true, order: [] })).toBe(false);
  });
});
