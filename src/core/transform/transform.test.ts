import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { letterOf, STICKING_LETTERS, type StickingLetter } from '../kit';
import { loopLayer, type Layer } from '../pattern';
import { quarters, tick } from '../time';
import {
  displaceAccents,
  displacePattern,
  displaceSticking,
  footingDifferences,
  footLayers,
  giveTo,
  mirrorHands,
  mirrorLimbs,
  pushStroke,
  reverseLayer,
  revoice,
  swapFeet,
  type Footing,
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

  it('an accent that lands on a rest is lost, and its place is kept', () => {
    const moved = displaceAccents(layerOf('R-L-R-L-', [0]), slot);
    expect(accents(moved)).toEqual([]);
    expect(moved.lostAccents).toEqual([slot]);
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

/** Words of letters, a slot each, as arbitrary input. */
const words = fc.stringMatching(/^[RLKF-]{1,16}$/).filter((text) => /[RLKF]/.test(text));

describe('reverseLayer', () => {
  it.each([
    ['RLRRLRLL', 'LLRLRRLR'],
    ['RR--', '--RR'],
    ['RLLK', 'KLLR'],
  ])('%s backwards is %s (common practice, no source)', (text, expected) => {
    expect(letters(reverseLayer(layerOf(text), slot))).toBe(expected);
  });

  it('twice is as before', () => {
    fc.assert(
      fc.property(words, (text) => {
        expect(letters(reverseLayer(reverseLayer(layerOf(text), slot), slot))).toBe(
          letters(layerOf(text)),
        );
      }),
    );
  });
});

describe('the words of what is played backwards', () => {
  it('stand backwards, too, each as long as it was', () => {
    const at = (slots: number) => tick(slots * slot);
    const layer = {
      ...layerOf('RLLKRL'),
      words: [
        { at: at(0), ticks: at(4), word: 0 },
        { at: at(4), ticks: at(2), word: 1 },
      ],
    };
    const reversed = [
      { at: at(0), ticks: at(2), word: 1 },
      { at: at(2), ticks: at(4), word: 0 },
    ];
    expect(reverseLayer(layer, slot).words).toEqual(reversed);
    expect(reverseLayer(reverseLayer(layer, slot), slot).words).toEqual(layer.words);
    // A layer that was looped keeps the words of its own length.
    const looped = { ...layer, lengthTicks: at(12), ownTicks: at(6) };
    expect(reverseLayer(looped, slot).words).toEqual(reversed);
  });
});

describe('giveTo, revoice, swapFeet', () => {
  it('LRRL RLLR as left hand and left foot (common practice, no source)', () => {
    const given = giveTo(layerOf('LRRLRLLR'), 'RH', { limb: 'LF', voice: 'hat-foot' });
    expect(letters(given)).toBe('LFFLFLLF');
    expect(
      given.strokes.filter((one) => one.limb === 'LF').every((one) => one.voice === 'hat-foot'),
    ).toBe(true);
  });

  it('revoices one voice, by the same limbs', () => {
    const ride = revoice(layerOf('RLKK'), 'snare', 'ride');
    expect(ride.strokes.map((one) => one.voice)).toEqual(['ride', 'ride', 'bass', 'bass']);
    expect(letters(ride)).toBe('RLKK');
  });

  it('revoices one limb’s notes alone: its hats to the ride, and the snare that it drops to stays', () => {
    const handed = layerOf('RLRL');
    const hats = {
      ...handed,
      strokes: handed.strokes.map((one) => ({ ...one, voice: 'hat' as const })),
    };
    const ride = revoice(hats, 'hat', 'ride', 'LH');
    expect(ride.strokes.map((one) => one.voice)).toEqual(['hat', 'ride', 'hat', 'ride']);
    const dropped = {
      ...hats,
      strokes: hats.strokes.map((one, i) => (i === 1 ? { ...one, voice: 'snare' as const } : one)),
    };
    expect(revoice(dropped, 'hat', 'ride', 'LH').strokes.map((one) => one.voice)).toEqual([
      ...['hat', 'snare', 'hat', 'ride'],
    ]);
  });

  it('feet swap what they play, each on its own pedal; twice is as before', () => {
    const feet = giveTo(layerOf('KFKK'), 'LF', { limb: 'LF', voice: 'hat-foot' });
    const swapped = swapFeet(feet);
    expect(letters(swapped)).toBe('FKFF');
    expect(swapped.strokes.map((one) => one.voice)).toEqual([
      'hat-foot',
      'bass',
      'hat-foot',
      'hat-foot',
    ]);
    expect(swapFeet(swapped)).toEqual(feet);
  });

  it('on a double pedal both feet stay on the bass drum', () => {
    const double = giveTo(layerOf('KF-K'), 'LF', { limb: 'LF', voice: 'bass' });
    expect(swapFeet(double).strokes.every((one) => one.voice === 'bass')).toBe(true);
  });
});

describe('double-pedal footing, two schools (common practice, no source)', () => {
  const feet = (text: string, school: Footing) =>
    footLayers([layerOf(text)], school)
      .map(letters)
      .join('')
      .replaceAll('K', 'r')
      .replaceAll('F', 'l');

  it.each([
    ['---KK-----------', 'grid', '---lr-----------'],
    ['---KK-----------', 'groups', '---rl-----------'],
    ['KKKKKKKK', 'grid', 'rlrlrlrl'],
    ['K-K-K-K-', 'grid', 'r-r-r-r-'],
    ['K-K-K-K-', 'groups', 'r-r-r-r-'],
    ['K--KK--K', 'groups', 'l--rl--r'],
  ] as const)('%s %s is %s', (text, school, expected) => {
    expect(feet(text, school)).toBe(expected);
  });

  it('says where the schools differ: slots 3 and 4, both', () => {
    const places = footingDifferences([layerOf('---KK-----------')]);
    expect(places).toEqual([
      { at: 3 * slot, byGrid: 'LF', byGroups: 'RF' },
      { at: 4 * slot, byGrid: 'RF', byGroups: 'LF' },
    ]);
    expect(footingDifferences([layerOf('K-K-K-K-')])).toEqual([]);
  });

  it('says where they differ over the longer of the two cycles', () => {
    const turned = (layer: Layer, school: Footing, length: number) => {
      const [footed = layer] = footLayers([layer], school);
      return loopLayer(footed, tick(length)).strokes.map(({ limb }) => limb);
    };
    fc.assert(
      fc.property(fc.stringMatching(/^[K-]{1,12}$/), (text) => {
        const layer = layerOf(text);
        const longest = (['grid', 'groups'] as const).map(
          (school) => footLayers([layer], school)[0]?.lengthTicks ?? 0,
        );
        const length = Math.max(...longest);
        const [grid, groups] = [turned(layer, 'grid', length), turned(layer, 'groups', length)];
        const ats = loopLayer(layer, tick(length)).strokes.map(({ at }) => at);
        expect(footingDifferences([layer])).toEqual(
          ats.flatMap((at, index) =>
            grid[index] === groups[index]
              ? []
              : [{ at, byGrid: grid[index], byGroups: groups[index] }],
          ),
        );
      }),
    );
  });

  it('nine triplets in 3/4 take two bars, and the left foot begins the second', () => {
    const triplet = quarters(1, 3);
    const layer: Layer = {
      ...layerOf('K'),
      lengthTicks: quarters(3),
      strokes: Array.from({ length: 9 }, (_, index) => ({
        at: tick(index * triplet),
        limb: 'RF' as const,
        voice: 'bass' as const,
        dynamic: 'normal' as const,
        from: { source: 'line' as const, onset: index },
      })),
    };
    for (const school of ['grid', 'groups'] as const) {
      const [footed] = footLayers([layer], school);
      expect(footed?.lengthTicks).toBe(quarters(6));
      expect(footed?.strokes.map((one) => one.limb)).toEqual(
        Array.from({ length: 18 }, (_, index) => (index % 2 === 0 ? 'RF' : 'LF')),
      );
    }
  });

  it('in triplets of 4/4 the left lands on 2 and 4', () => {
    const triplet = quarters(1, 3);
    const strokes = layerOf('KKKKKKKKKKKK').strokes.map((one, index) => ({
      ...one,
      at: tick(index * triplet),
    }));
    const [footed] = footLayers([{ ...layerOf('K'), lengthTicks: quarters(4), strokes }], 'grid');
    const at = (beat: number) => footed?.strokes.find((one) => one.at === quarters(beat))?.limb;
    expect([0, 1, 2, 3].map(at)).toEqual(['RF', 'LF', 'RF', 'LF']);
  });

  it('moves no stroke, and within a group the feet alternate', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[K-]{2,16}$/), (text) => {
        const [footed] = footLayers([layerOf(text)], 'groups');
        const out = footed ? letters(footed) : '';
        const shape = (one: string) => one.replaceAll('F', 'K');
        expect([text, text + text]).toContain(shape(out));
        expect(out + out).not.toMatch(out.includes('-') ? /KK|FF/ : /(KK|FF)(?=.)/);
      }),
    );
  });
});
