import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { parseMeter, slotTicks } from '../time';
import { onsets, parseLine, writeLine } from '.';

const fourFour = must(parseMeter('4/4'));

describe('writeLine', () => {
  it.each([
    [[0, 6, 10, 12], '4. 4 8 4'],
    [[2, 8], '8r 4. 2'],
    [[0, 6], '4. 2~8'],
    [[], '1r'],
  ])('%j in 16ths is %s', (slots, text) => {
    const places = slots.map((slot) => slot * slotTicks('16'));
    expect(writeLine(places, fourFour, 1, '16')).toBe(text);
  });

  it('writes triplets a quarter at a time', () => {
    const places = [0, 2, 4, 9, 10].map((slot) => slot * slotTicks('8t'));
    expect(writeLine(places, fourFour, 1, '8t')).toBe('3(4 8) 3(8r 4) 4r 3(8 4)');
  });

  it.each(['16', '8', '8t'] as const)('reads back to the same attacks in %s', (grid) => {
    const slot = slotTicks(grid);
    const slots = (slotTicks('4') * 8) / slot;
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: slots - 1 }), { minLength: 1 }),
        (hit) => {
          const places = [...hit].sort((a, b) => a - b).map((one) => one * slot);
          const line = must(parseLine(writeLine(places, fourFour, 2, grid), fourFour));
          expect(onsets(line).map((one) => one.at)).toEqual(places);
        },
      ),
    );
  });
});
