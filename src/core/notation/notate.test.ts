import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { must } from '../issue';
import { SHIPPED_OSTINATOS } from '../materials';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import type { SubdivisionId } from '../time';
import { notate, type WrittenSign } from '.';

function handsOf(slot: SubdivisionId, grid: string, meter = '4/4') {
  const lanes = [{ limb: 'RH' as const, voice: 'snare' as const, slot, grid }];
  const over = [{ content: { name: 'one', meter, swung: false, lanes } }];
  const exercise = must(expand({ ...blankRecipe(), over, meter }));
  return { exercise, hands: notate(exercise)[0]?.hands ?? [] };
}

function say(sign: WrittenSign): string {
  const dot = sign.dots ? '.' : '';
  const tuplet = sign.tuplet ? `/${sign.tuplet.played}:${sign.tuplet.inTimeOf}` : '';
  return `${sign.base}${dot}${sign.strokes.length === 0 ? 'r' : ''}${tuplet}`;
}

describe('notate', () => {
  it.each([
    ['4', 'xxxx', '4/4', '4 4 4 4'],
    ['8', 'x--xx-xx', '4/4', '4 8r 8 4 8 8'],
    ['16', 'x--xx-x--x--x---', '4/4', '8. 16 8 8 16r 8. 4'],
    ['8t', 'x-xxxxx----x', '4/4', '4/3:2 8/3:2 8/3:2 8/3:2 8/3:2 4 4r/3:2 8/3:2'],
    ['8', 'xxxx--', '6/8', '8 8 8 4.'],
    ['8', 'x-x-xxx', '7/8', '4 4 8 8 8'],
    ['5', 'xxxxx', '4/4', '16/5:4 16/5:4 16/5:4 16/5:4 16/5:4'],
  ] as const)('%s %s in %s is written %s', (slot, grid, meter, expected) => {
    const { hands } = handsOf(slot, grid, meter);
    expect(hands.slice(0, expected.split(' ').length).map(say).join(' ')).toBe(expected);
  });

  it('fills every bar of every voice that plays, and holds every stroke once', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[x-]{1,12}$/),
        fc.constantFrom('8' as const, '8t' as const, '16' as const, '16t' as const, '5' as const),
        fc.constantFrom('2/4', '3/4', '4/4', '5/4', '6/8', '7/8', '12/8'),
        (grid, slot, meter) => {
          const { exercise } = handsOf(slot, `x${grid}`, meter);
          const bars = notate(exercise);
          const strokes = bars.flatMap((bar) => bar.hands.flatMap((sign) => sign.strokes));
          expect(strokes).toEqual(exercise.strokes);
          for (const { hands } of bars) {
            if (hands.length === 0) continue;
            expect(hands.reduce((sum, sign) => sum + sign.ticks, 0)).toBe(exercise.barTicks);
          }
        },
      ),
      { numRuns: samples(200) },
    );
  });

  it.each(Object.keys(SHIPPED_OSTINATOS))('%s is written with plain values', (id) => {
    const exercise = must(expand(toggleOstinato(blankRecipe(), id)));
    for (const bar of notate(exercise)) {
      for (const sign of [...bar.hands, ...bar.feet]) {
        expect([2, 4, 8, 16, 32]).toContain(sign.base);
      }
    }
  });
});
