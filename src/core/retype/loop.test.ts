import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOfBar } from '../analysis';
import { must } from '../issue';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import { quarters, tick } from '../time';
import { formatLoop, parseLoop } from '.';

const exercise = must(
  expand({
    ...toggleOstinato(blankRecipe(), 'rock-16ths'),
    play: { content: { text: '4. 4 8 4 | 3(8 8 8) 4 2' } },
  }),
);

describe('parseLoop', () => {
  it.each([
    ['1', [0, 4]],
    ['2', [4, 8]],
    ['1-2', [0, 8]],
    ['1 – 2', [0, 8]],
    ['1.3', [2, 3]],
    ['1.3-2.1', [2, 5]],
    ['1.3&', [2.5, 2.75]],
    ['1.3e-2.1', [2.25, 5]],
    ['1.1.', [0, 0.25]],
  ])('%s is %j in quarters', (text, [from = 0, to = 0]) => {
    const loop = must(parseLoop(text, exercise));
    expect([loop.from, loop.to]).toEqual([quarters(from * 4, 4), quarters(to * 4, 4)]);
  });

  it.each([[''], ['0'], ['3'], ['2-1'], ['1.5'], ['1.3x'], ['1-2-1'], ['one'], ['1.0']])(
    '“%s” is no part of it',
    (text) => {
      expect(parseLoop(text, exercise)).toEqual({
        ok: false,
        issues: [{ code: 'loop-part', path: ['loop'], text, bars: 2 }],
      });
    },
  );

  it('reads back what it gives for every part that begins and ends at columns', () => {
    const columns = [0, 1].flatMap((bar) =>
      columnsOfBar(exercise, bar).map((at) => bar * exercise.barTicks + at),
    );
    const ends = [...columns, exercise.cycleTicks];
    fc.assert(
      fc.property(fc.nat(columns.length - 1), fc.nat(ends.length - 1), (first, last) => {
        const from = columns[Math.min(first, last)] ?? 0;
        const to = ends[Math.max(first, last)] ?? 0;
        if (to <= from) return;
        const loop = { from: tick(from), to: tick(to) };
        expect(must(parseLoop(formatLoop(loop, exercise), exercise))).toEqual(loop);
      }),
    );
  });
});
