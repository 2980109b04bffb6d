import { rotate } from '@tonaljs/rhythm-pattern';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { quarters, tick } from '../time';
import {
  commonCycle,
  cycleSlots,
  formatGrid,
  inTimeOrder,
  loopLayer,
  mergeStrokes,
  mirrorSticking,
  parseGrid,
  parseSticking,
  rotateSlots,
  type Layer,
  type Stroke,
} from '.';

describe('parseGrid', () => {
  it('reads hits, accents, ghosts and rests, and formats back', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[xXg-]{1,32}$/), (text) => {
        expect(formatGrid(must(parseGrid(text)))).toBe(text);
      }),
    );
  });

  it('names the slot of a wrong mark', () => {
    expect(parseGrid('x-o-')).toMatchObject({
      issues: [{ code: 'grid-token', token: 'o', at: 2 }],
    });
  });
});

describe('rotateSlots', () => {
  it.each([
    ['x---', ['-x--', '--x-', '---x', 'x---']],
    ['xx--', ['-xx-', '--xx', 'x--x', 'xx--']],
  ])('%s moves later to %j', (text, expected) => {
    expect([1, 2, 3, 4].map((by) => rotateSlots([...text], by).join(''))).toEqual(expected);
  });

  it('agrees with the rhythm-pattern library', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(0, 1), { minLength: 1, maxLength: 16 }),
        fc.nat(16),
        (p, by) => {
          const later = by % p.length;
          expect(rotateSlots(p, later)).toEqual(rotate(p, later));
        },
      ),
    );
  });
});

describe('cycleSlots', () => {
  it('3 over 16ths in 4/4 realign after 48 slots', () => {
    expect(cycleSlots(3, 16)).toBe(48);
    expect(() => cycleSlots(0, 16)).toThrow(RangeError);
  });

  it('is the first common multiple, found by counting', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 }), fc.integer({ min: 1, max: 24 }), (a, b) => {
        let slots = a;
        while (slots % b !== 0) slots += a;
        return cycleSlots(a, b) === slots;
      }),
    );
  });
});

describe('loopLayer', () => {
  const layer: Layer = {
    role: 'over',
    name: 'threes',
    lengthTicks: quarters(3, 4),
    strokes: [
      {
        at: tick(0),
        limb: 'RH',
        voice: 'ride',
        dynamic: 'normal',
        from: { source: 'over', ostinato: 0, slot: 0 },
      },
    ],
  };

  it('fills the common cycle', () => {
    const cycle = commonCycle([layer.lengthTicks, quarters(4)]);
    expect(cycle).toBe(quarters(12));
    expect(loopLayer(layer, cycle).strokes.map((s) => s.at / quarters(1, 4))).toEqual(
      Array.from({ length: 16 }, (_, i) => i * 3),
    );
  });

  it('refuses a cycle that it does not fill', () => {
    expect(() => loopLayer(layer, quarters(4))).toThrow(RangeError);
  });
});

describe('stickings', () => {
  it.each([
    ['RLRRLRLL', 'LRLLRLRR'],
    ['RLLK', 'LRRK'],
  ])('%s mirrors to %s and back', (text, mirrored) => {
    expect(mirrorSticking(text)).toBe(mirrored);
    expect(mirrorSticking(mirrored)).toBe(text);
  });

  it('are words of letters; a wrong one is named', () => {
    expect(must(parseSticking('RLLK RL')).map((word) => word.length)).toEqual([4, 2]);
    expect(parseSticking('RLQK')).toMatchObject({
      issues: [{ code: 'sticking-token', token: 'Q', at: 2 }],
    });
  });
});

describe('mergeStrokes', () => {
  const stroke = fc
    .record({ at: fc.nat(16), limb: fc.constantFrom('RH', 'LH', 'RF', 'LF') })
    .map(({ at, limb }): Stroke => ({
      at: tick(at),
      limb,
      voice: 'snare',
      dynamic: 'normal',
      from: { source: 'added', by: 'hand' },
    }));

  it('is what sorting all of them gives, ties in the order of the layers', () => {
    fc.assert(
      fc.property(fc.array(fc.array(stroke, { maxLength: 12 }), { maxLength: 5 }), (all) => {
        const layers = all.map((strokes): Layer => {
          return { role: 'over', name: '', lengthTicks: tick(17), strokes };
        });
        const merged = mergeStrokes(layers);
        const sorted = all.map((strokes) => [...strokes].sort(inTimeOrder)).flat();
        expect(merged).toEqual(sorted.sort(inTimeOrder));
        expect(merged.every((one, index) => one === sorted[index])).toBe(true);
      }),
    );
  });
});
