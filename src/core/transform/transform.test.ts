import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { letterOf, STICKING_LETTERS, type StickingLetter } from '../kit';
import type { Layer } from '../pattern';
import { quarters, tick } from '../time';
import {
  displaceAccents,
  displacePattern,
  displaceSticking,
  mirrorHands,
  mirrorLimbs,
  pushStroke,
} from '.';

const slot = quarters(1, 4);

/** A layer from letters and accented places, a stroke a slot; `-` rests. */
function layerOf(letters: string, accents: readonly number[] = []): Layer {
  return {
    role: 'line',
    name: letters,
    lengthTicks: tick(letters.length * slot),
    strokes: [...letters].flatMap((letter, index) =>
      letter === '-'
        ? []
        : [
            {
              at: tick(index * slot),
              limb: STICKING_LETTERS[letter as StickingLetter],
              voice: letter === 'K' ? ('bass' as const) : ('snare' as const),
              dynamic: accents.includes(index) ? ('accent' as const) : ('tap' as const),
              from: { source: 'line' as const, onset: index },
            },
          ],
    ),
  };
}

function letters(layer: Layer): string {
  const slots = Array.from({ length: layer.lengthTicks / slot }, () => '-');
  for (const stroke of layer.strokes) slots[stroke.at / slot] = letterOf(stroke.limb);
  return slots.join('');
}

function accents(layer: Layer): number[] {
  return layer.strokes.filter((s) => s.dynamic === 'accent').map((s) => s.at / slot);
}

describe('displacePattern', () => {
  it.each([
    ['R---', ['-R--', '--R-', '---R']],
    ['RR--', ['-RR-', '--RR', 'R--R']],
  ])('%s → %j (common practice, no source)', (text, expected) => {
    expect([1, 2, 3].map((by) => letters(displacePattern(layerOf(text), by * slot)))).toEqual(
      expected,
    );
  });

  it('by the length changes nothing; later and earlier undo each other', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[RLK-]{2,16}$/),
        fc.integer({ min: -20, max: 20 }),
        (text, by) => {
          const layer = layerOf(text);
          expect(displacePattern(layer, layer.lengthTicks)).toEqual(layer);
          expect(displacePattern(displacePattern(layer, by * slot), -by * slot)).toEqual(layer);
        },
      ),
    );
  });
});

describe('RLRRLRLL accented on 0 and 4 (common practice, no source)', () => {
  const paradiddle = layerOf('RLRRLRLL', [0, 4]);

  it('accents alone one later fall on 1 and 5, hands stay', () => {
    const moved = displaceAccents(paradiddle, slot);
    expect(accents(moved)).toEqual([1, 5]);
    expect(letters(moved)).toBe('RLRRLRLL');
    expect(moved.strokes[0]?.dynamic).toBe('tap');
  });

  it('sticking alone one later is LRLRRLRL, accents stay', () => {
    const moved = displaceSticking(paradiddle, 1);
    expect(letters(moved)).toBe('LRLRRLRL');
    expect(accents(moved)).toEqual([0, 4]);
  });

  it('accents all the way round come back', () => {
    expect(displaceAccents(paradiddle, paradiddle.lengthTicks)).toEqual(paradiddle);
  });

  it('accents that land on rests go to the next stroke', () => {
    expect(accents(displaceAccents(layerOf('R-L-R-L-', [0]), slot))).toEqual([2]);
  });
});

describe('pushStroke', () => {
  it('moves beat 1 of bar 2 to the "a" of 4 before it', () => {
    const twoBars = layerOf(`R${'-'.repeat(15)}R${'-'.repeat(15)}`);
    expect(pushStroke(twoBars, quarters(4), slot).strokes.map((s) => s.at / slot)).toEqual([0, 15]);
  });

  it('wraps over the seam', () => {
    expect(letters(pushStroke(layerOf('R-L-'), tick(0), slot))).toBe('--LR');
  });
});

describe('mirror', () => {
  it.each([
    ['RLRRLRLL', 'LRLLRLRR'],
    ['RLLK', 'LRRK'],
  ])('%s → %s with feet in place', (text, mirrored) => {
    expect(letters(mirrorHands(layerOf(text)))).toBe(mirrored);
  });

  it('of all limbs swaps the feet too, and is undone by itself', () => {
    expect(letters(mirrorLimbs(layerOf('RLLK')))).toBe('LRRF');
    const layer = layerOf('RLKFRL');
    expect(mirrorLimbs(mirrorLimbs(layer))).toEqual(layer);
  });
});
