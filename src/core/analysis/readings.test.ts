import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DerivedPart, ENGLISH, sayCue, sayDerivation, sayIn, saySubdivision } from '@/words';
import { PLAIN_SPEECH } from '../studio';
import { must } from '../issue';
import { blankRecipe, expand, toggleOstinato, type Exercise } from '../recipe';
import { typedSticking } from '../sticking';
import { metricalWeight, parseMeter, quarters, SYLLABLES, countMark, slotTicks } from '../time';
import { at, exerciseOf, type Part } from './analysis.fixture';
import {
  countStrings,
  cuesOf,
  difficultyParts,
  difficultyPoints,
  disguiseOf,
  feltPulses,
  metricalComplexity,
  shapeKey,
  syncopationOf,
  travelOf,
} from '.';

const fourFour = must(parseMeter('4/4'));
const SIXTEENTH = slotTicks('16');

function hits(grid: string): number[] {
  return [...grid].flatMap((mark, slot) => (mark === 'x' ? [slot] : []));
}

describe('metricalWeight', () => {
  it('4/4 in 16ths has the weights of Longuet-Higgins & Lee 1984', () => {
    const weights = Array.from({ length: 16 }, (_, slot) =>
      metricalWeight(slot * SIXTEENTH, fourFour),
    );
    expect(weights).toEqual([0, -4, -3, -4, -2, -4, -3, -4, -1, -4, -3, -4, -2, -4, -3, -4]);
  });

  it('other meters have their own trees: halves, groups, beats (worked by hand)', () => {
    const eighths = (meter: string, count: number) =>
      Array.from({ length: count }, (_, slot) =>
        metricalWeight(slot * slotTicks('8'), must(parseMeter(meter))),
      );
    expect(eighths('6/8', 6)).toEqual([0, -2, -2, -1, -2, -2]);
    expect(eighths('12/8', 12)).toEqual([0, -3, -3, -2, -3, -3, -1, -3, -3, -2, -3, -3]);
    expect(eighths('2/4', 4)).toEqual([0, -2, -1, -2]);
    expect(eighths('3/4', 6)).toEqual([0, -2, -1, -2, -1, -2]);
    expect(eighths('5/4', 10)).toEqual([0, -3, -2, -3, -2, -3, -1, -3, -2, -3]);
    expect(eighths('7/8', 7)).toEqual([0, -2, -1, -2, -1, -2, -2]);
  });
});

describe('metricalComplexity', () => {
  it.each([
    ['shiko', 'x---x-x---x-x---', 2],
    ['son', 'x--x--x---x-x---', 4],
    ['rumba', 'x--x---x--x-x---', 5],
    ['gahu', 'x--x--x---x---x-', 5],
    ['soukous', 'x--x--x---xx----', 6],
    ['bossa', 'x--x--x---x--x--', 6],
  ])('%s %s is %i (Toussaint 2002, from memory)', (_, grid, value) => {
    expect(metricalComplexity(hits(grid), SIXTEENTH, fourFour)).toBe(value);
  });
});

describe('syncopationOf, after Longuet-Higgins & Lee 1984 (worked by hand)', () => {
  it.each([
    ['xxxx', '4', 0],
    ['-x-x-x-x', '8', 7],
    ['x--x--x---x-x---', '16', 4],
  ] as const)('%s in %s is %i', (grid, slot, value) => {
    const exercise = exerciseOf([['RF', 'bass', slot, grid]]);
    expect(syncopationOf(exercise)[0]?.value).toBe(value);
  });
});

describe('disguiseOf', () => {
  const line = (grid: string, limb: Part[0] = 'LH') =>
    exerciseOf([
      ['RH', 'ride', '8', 'xxxxxxxx'],
      [limb, limb === 'LH' ? 'snare' : 'snare', '8', grid],
    ]);

  it('names a rotation and how far it is', () => {
    expect(disguiseOf(line('x---x---'), line('-x---x--'))).toEqual({
      kind: 'rotated',
      laterTicks: quarters(1, 2),
    });
    expect(disguiseOf(line('x-------'), line('x-x-----'))).toBeNull();
  });

  it('names equal sound with other limbs', () => {
    const one = exerciseOf([['RH', 'snare', '8', 'x---x---']]);
    const other = exerciseOf([['LH', 'snare', '8', 'x---x---']]);
    expect(disguiseOf(one, other)?.kind).toBe('limbs');
    expect(disguiseOf(one, one)?.kind).toBe('same');
  });

  it('every rotation has one shape; two grids have one shape only where one is turned', () => {
    const key = (text: string) => shapeKey(exerciseOf([['LH', 'snare', '8', text]]), 'limbs');
    const grid = fc.stringMatching(/^[x-]{8}$/).filter((text) => text.includes('x'));
    /** Once round the bar for each place that a rotation can begin at: brute force. */
    const turns = (text: string) =>
      Array.from({ length: 8 }, (_, by) => text.slice(by) + text.slice(0, by));
    fc.assert(
      fc.property(grid, fc.integer({ min: 0, max: 7 }), grid, (one, by, other) => {
        expect(key(one.slice(by) + one.slice(0, by))).toBe(key(one));
        expect(key(one) === key(other)).toBe(turns(one).includes(other));
      }),
    );
  });

  it('two colours of length 8 have 36 necklaces (Burnside)', () => {
    const keys = new Set<string>();
    for (let bits = 0; bits < 256; bits += 1) {
      const grid = bits.toString(2).padStart(8, '0').replaceAll('1', 'x').replaceAll('0', 'g');
      const layer = exerciseOf([['LH', 'snare', '8', grid]]);
      const whole = layer.strokes.length === 8 ? shapeKey(layer, 'limbs') : '';
      keys.add(whole);
    }
    expect(keys.size).toBe(36);
  });
});

describe('feltPulses and travelOf', () => {
  it('every 2nd triplet at 100 feels like 150: three felt bars are two real ones', () => {
    const exercise = exerciseOf([['RF', 'bass', '8t', 'x-']]);
    expect(feltPulses(exercise, at(100, exercise))).toEqual([
      { limb: 'RF', ratio: [3, 2], bpm: 150 },
    ]);
    expect(feltPulses(exerciseOf([['RF', 'bass', '8', 'x-']]), at(100, exercise))).toEqual([]);
  });

  it('two quarters at 70 are 1714 ms to get from ride to snare', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '4', 'x---'],
      ['RH', 'snare', '4', '--x-'],
    ]);
    const [travel] = travelOf(exercise, at(70, exercise));
    expect(travel?.moves).toBe(2);
    expect(Math.round(travel?.shortest.ms ?? 0)).toBe(1714);
  });
});

describe('cuesOf', () => {
  it('names at most three, the seam first', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '8', 'x-xxx-xx'],
      ['LH', 'snare', '16', 'x--X-----------x'],
      ['RF', 'bass', '4', 'xxxx'],
    ]);
    const cues = cuesOf(exercise, at(120, exercise));
    expect(cues.map((cue) => cue.kind)).toEqual(['seam', 'accent', 'unison']);
    expect(cues[1] && sayCue(ENGLISH, cues[1], '4/4')).toBe(
      'Keep the accent on a of 1: it tends to creep back to the beat.',
    );
  });

  const said = (...parts: Part[]) => {
    const exercise = exerciseOf(parts);
    return cuesOf(exercise, at(80, exercise)).map((cue) => sayCue(ENGLISH, cue, '4/4'));
  };

  it('a foot right before a hand tends to follow it, where it is alone and the pattern is not linear', () => {
    const feet: Part = ['RF', 'bass', '16', '-x-x-x-x-x-x-x-x'];
    const back: Part = ['LH', 'snare', '4', 'xxxx'];
    const follows = 'Play the right foot on e of 1 by itself: the right hand comes right after it.';
    expect(said(['RH', 'hat', '8', 'xxxxxxxx'], back, feet)).toContain(follows);
    // Linear, and with the other hand.
    expect(said(['LH', 'snare', '8', 'xxxxxxxx'], feet).join()).not.toContain('by itself');
    const with_: Part = ['RH', 'hat', '16', 'xxxxxxxxxxxxxxxx'];
    expect(said(with_, back, feet).join()).not.toContain('by itself');
  });

  // Composites: 3:2 = 2 1 1 2 and 4:3 = 3 1 2 2 1 3 (slots from one note to the next).
  it.each<[string, Part, Part]>([
    [
      'Say T L R L first, from 1: 2 of the right hand against 3 of the left hand.',
      ['RH', 'ride', '4', 'xxxx'],
      ['LH', 'snare', '8t', 'x-x-x-'],
    ],
    [
      'Say T L R L R L first, from 1: 3 of the right hand against 4 of the left hand.',
      ['RH', 'ride', '8t', 'xxx'],
      ['LH', 'snare', '16', 'xxxx'],
    ],
    [
      'Say T R L R R L R first, from 1: 5 of the right hand against 3 of the left hand.',
      ['RH', 'ride', '5', 'xxxxx'],
      ['LH', 'snare', '8t', 'xxx'],
    ],
  ])('%s', (words, one, other) => {
    expect(said(one, other)).toContain(words);
  });

  it('even steps that divide are no composite', () => {
    expect(
      said(['RH', 'ride', '4', 'xxxx'], ['LH', 'snare', '8', 'xxxxxxxx']).join(),
    ).not.toContain('Say ');
  });

  const HAT_16THS: Part = ['RH', 'hat', '16', 'xxxxxxxxxxxxxxxx'];
  const FEET: readonly Part[] = [
    ['RF', 'bass', '16', 'x-x-x-x-'],
    ['LF', 'bass', '16', '-x-x-x-x'],
  ];
  it.each<[string, readonly Part[]]>([
    [
      'Keep the feet even from 1 on, and the accents of the right hand out of them.',
      [['RH', 'ride', '8', 'Xx'], ...FEET],
    ],
    [
      'Keep the feet even from 1 on, all as loud as each other.',
      [['RH', 'ride', '8', 'xx'], ...FEET],
    ],
    ['Let the right hand hang loose from 1 on, all notes as low as each other.', [HAT_16THS]],
    [
      'Let the right hand hang loose from 1 on, and let only its accents out.',
      [['RH', 'hat', '16', 'Xxxx']],
    ],
    [
      'Feather the bass drum from 1 on: felt, not heard.',
      [
        ['RH', 'ride', '8', 'x-xxx-xx'],
        ['RF', 'bass', '4', 'gggg'],
      ],
    ],
    [
      'Stay down after the accent of the left hand on 2: the note after it is low.',
      [
        ['RH', 'hat', '8', 'xxxxxxxx'],
        ['LH', 'snare', '16', '----Xx----------'],
      ],
    ],
  ])('%s', (words, parts) => {
    expect(said(...parts)).toContain(words);
  });

  it.each<[string, string, readonly Part[]]>([
    [
      'feet in 8ths do not run',
      'feet even',
      [
        ['RH', 'ride', '8', 'xx'],
        ['RF', 'bass', '8', 'xx'],
      ],
    ],
    ['a hand in 8ths is loose by itself', 'loose', [['RH', 'hat', '8', 'xxxxxxxx']]],
    [
      'a loud bass drum is not feathered',
      'Feather',
      [
        ['RH', 'ride', '8', 'xx'],
        ['RF', 'bass', '4', 'xxxx'],
      ],
    ],
    ['accents alone have nothing after them', 'Stay down', [['RH', 'hat', '8', 'XXXX']]],
    ['a slow hand does not tighten', 'tightens', [HAT_16THS]],
  ])('%s', (_, words, parts) => {
    expect(said(...parts).join()).not.toContain(words);
  });

  it('places of later bars are said with their bar', () => {
    expect(said(['RH', 'hat', '8', 'xxxxxxxxXxxxxxxx'])).toContain(
      'Stay down after the accent of the right hand on 1 of bar 2: the note after it is low.',
    );
  });

  it('near its limit a limb tightens, and says how fast it is', () => {
    const exercise = exerciseOf([HAT_16THS]);
    expect(cuesOf(exercise, at(120, exercise)).map((cue) => sayCue(ENGLISH, cue, '4/4'))).toContain(
      'Rest when the right hand tightens: 8 strokes a second are near its limit.',
    );
  });

  it('inside a cell a foot goes to the hand as it is meant to', () => {
    const recipe = {
      ...toggleOstinato(blankRecipe(), 'hats-2-4'),
      play: { content: typedSticking('RLKLRLKL') },
    };
    const exercise = must(expand(recipe));
    const cues = cuesOf(exercise, at(90, exercise));
    expect(cues.find((one) => one.kind === 'follow')).not.toMatchObject({ foot: 'RF' });
  });

  it('few notes get rushed', () => {
    const exercise = exerciseOf([['RF', 'bass', '4', 'x-x-']]);
    expect(cuesOf(exercise, at(60, exercise)).map((cue) => cue.kind)).toEqual(['bare']);
  });
});

describe('difficulty follows orderings of common practice (no source)', () => {
  const HATS: Part = ['RH', 'hat', '8', 'xxxxxxxx'];
  const BACK: Part = ['LH', 'snare', '4', '-x-x'];
  const ONES: Part = ['RF', 'bass', '4', 'x-x-'];
  const points = (...parts: Part[]) => {
    const exercise = exerciseOf(parts);
    return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
  };
  const ornamented = (grid: string, ornament: 'diddle' | 'flam' | null) => {
    const note = { at: 0, limb: 'LH', voice: 'snare' } as const;
    const edits = ornament
      ? [{ from: note, to: { ...note, dynamic: 'normal' as const, ornament } }]
      : [];
    const changes = [{ kind: 'hand' as const, length: quarters(4), edits }];
    const exercise = exerciseOf([['LH', 'snare', '8', grid]], { changes });
    return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
  };

  it('hats alone < with one more limb < all', () => {
    expect(points(HATS)).toBeLessThan(points(HATS, BACK));
    expect(points(HATS, BACK)).toBeLessThan(points(HATS, BACK, ONES));
  });

  it('an extra bass drum under a hat < between hats', () => {
    const under = points(HATS, BACK, ['RF', 'bass', '16', 'x---x---x-------']);
    const between = points(HATS, BACK, ['RF', 'bass', '16', 'x----x--x-------']);
    expect(under).toBeLessThan(between);
  });

  it('straight ride < with skip note; skeleton < with diddles < with grace notes', () => {
    expect(points(['RH', 'ride', '4', 'xxxx'])).toBeLessThan(
      points(['RH', 'ride', '8', 'x-xxx-xx']),
    );
    expect(ornamented('x-x-x-x-', null)).toBeLessThan(ornamented('x-x-x-x-', 'diddle'));
    expect(ornamented('x-x-x-x-', 'diddle')).toBeLessThan(ornamented('x-x-x-x-', 'flam'));
  });
});

describe('derivations', () => {
  const asked = (exercise: Exercise) => ({ exercise, tempo: at(60, exercise) });

  it('show the sum behind the cycle and the seam', () => {
    const exercise = exerciseOf([['RH', 'snare', '16', 'x--']]);
    expect(sayDerivation(ENGLISH, 'cycle', asked(exercise))).toEqual([
      'A beat is a quarter. The bar: 4 beats',
      'parts: 0.75 beats',
      'All begin together again after 12 beats, the least that all divide.',
      '12 beats ÷ 4 beats = 3 bars',
      'Seam: 0.75 of a beat × 60000 ÷ 60 = 750 ms',
    ]);
  });

  it('count the same beat everywhere: in 6/8 the dotted quarter', () => {
    const exercise = exerciseOf([['RH', 'hat', '8', 'x--x--']], { meter: '6/8' });
    expect(sayDerivation(ENGLISH, 'cycle', asked(exercise))).toEqual([
      'A beat is a dotted quarter. The bar: 2 beats',
      'parts: 2 beats',
      'All begin together again after 2 beats, the least that all divide.',
      '2 beats ÷ 2 beats = 1 bar',
      'Seam: 1 of a beat × 60000 ÷ 60 = 1000 ms',
    ]);
    expect(sayDerivation(ENGLISH, 'load', asked(exercise))[0]).toBe(
      'One cycle: 2 beats × 60 ÷ 60 = 2 s',
    );
  });

  it('say that a cycle is cut, and what it would be', () => {
    const exercise = exerciseOf([['RH', 'snare', '16', 'x--']], { cut: 2 });
    expect(sayDerivation(ENGLISH, 'cycle', asked(exercise)).slice(2, 5)).toEqual([
      'All begin together again after 12 beats, the least that all divide.',
      '12 beats ÷ 4 beats = 3 bars',
      'Cut after 2 bars: there all begin again.',
    ]);
  });

  it('show slots and syllables of every bar, instants, strokes a second', () => {
    const exercise = exerciseOf([
      ['RF', 'bass', '8', 'x--x----'],
      ['LH', 'snare', '4', 'x---'],
    ]);
    const says = (part: DerivedPart) => sayDerivation(ENGLISH, part, asked(exercise));
    expect(says('count')[0]).toBe('L, bar 1: slots of quarters, from 0: 0 = 1');
    expect(says('composite')).toEqual(['1: L + K = T', '& of 2: K']);
    expect(sayDerivation(ENGLISH, 'composite', { ...asked(exercise), limbs: ['LH'] })).toEqual([
      '1: L',
    ]);
    expect(says('together')).toEqual([
      '3 strokes fall on 2 instants.',
      '1 of them holds one limb, 1 two or more.',
      '3 − 2 = 1 stroke meets another.',
    ]);
    expect(says('load')).toContain('K: 2 strokes ÷ 4 s = 0.5 a second');
    expect(says('load')).toContain('L: 1 stroke ÷ 4 s = 0.25 a second');
    expect(says('syncopation')[0]).toContain('0 −2 −1 −2');
    expect(says('syncopation').at(-1)).toBe(
      'right foot: 2 in all; 2 from the strongest rhythm of 2 notes',
    );
    const three = exerciseOf([['RF', 'bass', '8', 'x--']]);
    expect(sayDerivation(ENGLISH, 'count', asked(three))).toEqual([
      'K, bar 1: slots of 8ths, from 0: 0 = 1, 3 = &, 6 = 4',
      'K, bar 2: slots of 8ths, from 0: 1 = &, 4 = 3, 7 = &',
      'K, bar 3: slots of 8ths, from 0: 2 = 2, 5 = &',
    ]);
  });

  it('motions say which level is loud', () => {
    const one = exerciseOf([['LH', 'snare', '4', 'x---']]);
    expect(sayDerivation(ENGLISH, 'motions', asked(one))).toEqual([
      'L: all are normal: full strokes throughout.',
      'L on 1: normal, next normal = full',
    ]);
    const two = exerciseOf([['LH', 'snare', '4', 'Xxgx']]);
    expect(sayDerivation(ENGLISH, 'motions', asked(two))[0]).toBe(
      'L: accent, its loudest, is loud; ghost and normal are soft.',
    );
  });
});

describe('counting systems and note names (common practice, no source)', () => {
  it.each([
    ['english', '1 & 3 &', '1 trip let'],
    ['german', '1 und 3 und', '1 tri ole'],
    ['takadimi', 'ta di ta di', 'ta ki da'],
  ] as const)('%s', (id, eighths, triplets) => {
    const exercise = exerciseOf([['RF', 'bass', '8', 'xx--xx--']]);
    expect(countStrings(exercise, SYLLABLES[id])[0]?.bars[0]).toBe(eighths);
    const said = [0, 1, 2].map(
      (slot) => countMark(slot * slotTicks('8t'), fourFour, SYLLABLES[id]).text,
    );
    expect(said.join(' ')).toBe(triplets);
  });

  it.each([
    ['8', '8ths', 'quavers'],
    ['8t', '8th triplets', 'quaver triplets'],
    ['4t', 'quarter triplets', 'crotchet triplets'],
    ['32', '32nds', 'demisemiquavers'],
    ['5', 'quintuplets', 'quintuplets'],
  ] as const)('%s is %s, %s in British names', (id, american, british) => {
    expect(saySubdivision(ENGLISH, id)).toBe(american);
    const say = sayIn('en-GB', { ...PLAIN_SPEECH, notes: 'british' });
    expect(saySubdivision(say, id)).toBe(british);
  });
});
