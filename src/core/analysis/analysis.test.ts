import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { ENGLISH, sayHindrance } from '@/words';
import { must } from '../issue';
import type { Limits } from '../kit';
import {
  blankRecipe,
  expand,
  startOf,
  toggleOstinato,
  type ClosedRecipe,
  type Exercise,
} from '../recipe';
import { typedSticking } from '../sticking';
import { quarters } from '../time';
import {
  columnsOfBar,
  countStrings,
  spokenLimbs,
  hatBeforeFoot,
  hindrances,
  limbLoads,
  lineReading,
  lockUp,
  readBack,
  seamOf,
  spokenComposite,
} from '.';
import { at, exerciseOf, type Part } from './analysis.fixture';

describe('spokenComposite (common practice, no source)', () => {
  const triplets: Part = ['LH', 'snare', '4t', 'xxx'];

  it('quarters against quarter triplets read T L R L', () => {
    const exercise = exerciseOf([['RH', 'ride', '4', 'xx'], triplets], { meter: '2/4' });
    expect(spokenComposite(exercise, ['RH', 'LH'])).toBe('T L R L');
  });

  it('with the skip note T L R L R', () => {
    const exercise = exerciseOf([['RH', 'ride', '8t', 'x--x-x'], triplets], { meter: '2/4' });
    expect(spokenComposite(exercise, ['RH', 'LH'])).toBe('T L R L R');
  });

  it.each([
    [3, 2, '2112'],
    [4, 3, '312213'],
  ])('%i against %i has the intervals %s (polyrhythm tables, from memory)', (a, b, expected) => {
    const bar = { meter: '12/8' };
    const every = (n: number) => `x${'-'.repeat(12 / n - 1)}`;
    const exercise = exerciseOf(
      [
        ['RH', 'ride', '8', every(a)],
        ['LH', 'snare', '8', every(b)],
      ],
      bar,
    );
    const places = [...new Set(exercise.strokes.map((s) => s.at))];
    const unit = exercise.barTicks / (a * b);
    const intervals = places.map(
      (place, i) => ((places[i + 1] ?? exercise.barTicks) - place) / unit,
    );
    expect(intervals.join('')).toBe(expected);
  });

  it('speaks the phrase and the hand that keeps going, whatever the feet do', () => {
    const jazz = toggleOstinato(
      toggleOstinato(toggleOstinato(blankRecipe(), 'ride-quarters'), 'hats-2-4'),
      'bass-quarters',
    );
    const played = must(expand({ ...jazz, play: { content: { text: '3(4 4 4) 3(4 4 4)' } } }));
    const limbs = spokenLimbs(played) ?? [];
    expect(limbs).toEqual(['RH', 'LH']);
    expect(spokenComposite(played, limbs)).toBe('T L R L');
  });

  it('speaks all limbs of a linear pattern: a rotation on bass drum and toms is K L R', () => {
    const played = must(
      expand({ ...blankRecipe(), play: { content: typedSticking('8t: K L R') } }),
    );
    expect(spokenComposite(played, spokenLimbs(played) ?? [])).toBe('K L R');
  });

  it('without a phrase speaks the two limbs that differ most', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '8', 'xxxxxxxx'],
      ['LH', 'snare', '4', '-x-x'],
      ['LF', 'hat-foot', '4', '-x-x'],
    ]);
    expect(spokenLimbs(exercise)).toEqual(['RH', 'LH']);
    expect(spokenLimbs(exerciseOf([['RH', 'ride', '4', 'x']]))).toBeNull();
  });
});

describe('countStrings', () => {
  it('counts each limb bar by bar', () => {
    const recipe = {
      ...toggleOstinato(blankRecipe(), 'jazz-ride'),
      play: { content: { text: '4. 4 8 4' } },
    };
    const exercise = must(expand({ ...recipe, as: startOf('short-long') }));
    expect(countStrings(exercise)).toEqual([
      { limb: 'RH', bars: ['1 2 & 3 4 &'] },
      { limb: 'LH', bars: ['&'] },
      { limb: 'RF', bars: ['1 & 4'] },
      { limb: 'LF', bars: ['2 4'] },
    ]);
  });

  it('marks bars in which a limb rests', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '4', 'x---'],
      ['LF', 'hat-foot', '4', 'x-------'],
    ]);
    expect(countStrings(exercise)[1]?.bars).toEqual(['1', '–']);
  });
});

describe('columnsOfBar', () => {
  it('is the union of the layers’ grids, beat by beat', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '8t', 'xxx---------'],
      ['LH', 'snare', '16', 'xxxx------------'],
    ]);
    expect(columnsOfBar(exercise, 0).length).toBe(6 + 3);
  });

  it('holds every stroke', () => {
    const grid = fc.stringMatching(/^[x-]{4,12}$/);
    fc.assert(
      fc.property(
        grid,
        fc.constantFrom('8' as const, '8t' as const, '16' as const),
        (text, slot) => {
          const exercise = exerciseOf([['RH', 'ride', slot, `x${text}`]], { meter: '4/4' });
          for (const stroke of exercise.strokes) {
            const bar = Math.floor(stroke.at / exercise.barTicks);
            expect(columnsOfBar(exercise, bar)).toContain(stroke.at % exercise.barTicks);
          }
        },
      ),
      { numRuns: samples(60) },
    );
  });
});

describe('lineReading', () => {
  const read = (text: string, kind: ClosedRecipe['as']['kind'], more: Partial<ClosedRecipe> = {}) =>
    lineReading(
      must(expand({ ...blankRecipe(), play: { content: { text } }, as: startOf(kind), ...more })),
    );

  it.each([
    ['4. 4 8 4', 'phrase-cells', 'RLLKKL RLLK RL RLLK'],
    ['8r 4 4 8 4', 'phrase-cells', 'KL RLLK RLLK RL RLLK'],
    ['4. 4 8 4', 'short-long', 'K K S K'],
    ['8 4. 8 4.', 'short-long', 'S K S K'],
    ['4. 4 8 4', 'verbatim', 'S S S S'],
  ] as const)('%s as %s reads %s (common practice, no source)', (text, kind, expected) => {
    expect(read(text, kind)).toBe(expected);
  });

  it('says the line once, whatever it is combined with, from the start of the bar', () => {
    const over = toggleOstinato(blankRecipe(), 'waltz').over;
    const by = { kind: 'displace', what: 'pattern', part: 'line', by: 3, slot: '16' } as const;
    expect(read('4. 4 8 4', 'phrase-cells', { over })).toBe('RLLKKL RLLK RL RLLK');
    expect(read('4. 4 8 4', 'phrase-cells', { changes: [by] })).toBe('LLK RLLKKL RLLK RL R');
    const mirror = { kind: 'mirror', what: 'hands', part: 'line' } as const;
    expect(read('4 4 4 4', 'phrase-cells', { changes: [mirror] })).toBe('LRRK LRRK LRRK LRRK');
  });

  it('is empty without a line', () => {
    expect(lineReading(exerciseOf([['RH', 'hat', '8', 'xx']]))).toBe('');
  });
});

describe('lockUp', () => {
  it('tells unisons by limb set and notes that stand alone', () => {
    const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
    const map = lockUp(exercise);
    expect(map.together.map((set) => [set.limbs.join(' '), set.at.length])).toEqual([
      ['RH RF', 2],
      ['RH LH', 2],
    ]);
    expect(map.alone).toEqual([{ limb: 'RH', at: [1, 3, 5, 7].map((n) => quarters(n, 2)) }]);
    expect(map.instants).toBe(8);
  });

  it('counts every instant once', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^x[x-]{7}$/), fc.stringMatching(/^x[x-]{7}$/), (a, b) => {
        const map = lockUp(
          exerciseOf([
            ['RH', 'ride', '8', a],
            ['LH', 'snare', '8', b],
          ]),
        );
        const counted = [...map.together, ...map.alone].reduce(
          (sum, set) => sum + set.at.length,
          0,
        );
        return counted === map.instants;
      }),
    );
  });
});

describe('hi-hat before foot (common practice, no source)', () => {
  const hats: Part = ['LF', 'hat-foot', '4', '-x-x'];

  it('a hi-hat stroke right before the chick and nearer than 300 ms sounds open', () => {
    const exercise = exerciseOf([
      ['RH', 'hat', '8', '---x----'],
      ['LF', 'hat-foot', '4', '--x-'],
    ]);
    expect(hatBeforeFoot(exercise, at(60, exercise))).toEqual([]);
    const [found] = hatBeforeFoot(exercise, at(120, exercise));
    expect(found).toMatchObject({
      at: quarters(3, 2),
      chickAt: quarters(2),
      limb: 'RH',
      gapMs: 250,
    });
    expect(found && sayHindrance(ENGLISH, found, exercise)).toEqual({
      where: 'Bar 1, & of 2',
      reason: 'The hi-hat stroke lies 250 ms before the foot closes it on 3: it sounds open.',
      mend: 'Play that stroke on the snare or bass drum, or slow down.',
    });
  });

  it('stick and foot together are fine; another note in between frees it', () => {
    const together = exerciseOf([['RH', 'hat', '4', 'xxxx'], hats]);
    expect(hatBeforeFoot(together, at(160, together))).toEqual([]);
    const between = exerciseOf([
      ['RH', 'hat', '8', '-x------'],
      ['RF', 'bass', '16', '---x------------'],
      ['LF', 'hat-foot', '4', '-x--'],
    ]);
    expect(hatBeforeFoot(between, at(120, between))).toEqual([]);
  });

  it('looks across the seam', () => {
    const exercise = exerciseOf([
      ['RH', 'hat', '8', '-------x'],
      ['LF', 'hat-foot', '4', 'x---'],
    ]);
    expect(hatBeforeFoot(exercise, at(120, exercise))).toMatchObject([
      { at: quarters(7, 2), chickAt: 0, acrossSeam: true, gapMs: 250 },
    ]);
  });

  it('300 ms is settable and exclusive', () => {
    const exercise = exerciseOf([
      ['RH', 'hat', '8', '-x------'],
      ['LF', 'hat-foot', '4', '-x--'],
    ]);
    expect(hatBeforeFoot(exercise, at(100, exercise))).toEqual([]);
    expect(hatBeforeFoot(exercise, at(100, exercise), 301)).toHaveLength(1);
  });

  it('a kit and its player have limits of their own, for runs and feet too', () => {
    const exercise = exerciseOf([
      ['RH', 'hat', '8', '-x------'],
      ['LF', 'hat-foot', '4', '-x--'],
      ['LH', 'snare', '16', 'xxxxxxxxxxxxxxxx'],
    ]);
    const tempo = at(100, exercise);
    const rules = (limits: object) =>
      hindrances({ ...exercise, kit: { ...exercise.kit, limits } }, tempo).map((one) => one.rule);
    expect(rules({})).toEqual([]);
    expect(rules({ handRun: 151 })).toEqual(['fast-run']);
    const slow = exerciseOf([
      ['RF', 'bass', '16', 'x---------------'],
      ['LF', 'hat-foot', '16', '-x--------------'],
    ]);
    const feet = (limits: object) =>
      hindrances({ ...slow, kit: { ...slow.kit, limits } }, at(80, slow)).map((one) => one.rule);
    expect(feet({})).toEqual([]);
    expect(feet({ footToFoot: 188 })).toEqual(['foot-to-foot']);
  });
});

describe('hindrances', () => {
  it('one limb twice at once, and voices that the kit lacks', () => {
    const kit = {
      content: { name: 'no ride', handedness: 'right' as const, voices: ['snare' as const] },
    };
    const exercise = exerciseOf(
      [
        ['RH', 'ride', '4', 'x---'],
        ['RH', 'snare', '4', 'x---'],
      ],
      { kit },
    );
    expect(
      hindrances(exercise, at(60, exercise)).map((h) => sayHindrance(ENGLISH, h, exercise).reason),
    ).toEqual(['The right hand has snare 2 times at once.']);
    expect(exercise.replaced).toEqual([{ voice: 'ride', by: 'snare' }]);
  });
});

describe('more that hinders (common practice, no source)', () => {
  const rules = (exercise: Exercise, tempo: number) =>
    hindrances(exercise, at(tempo, exercise)).map((one) => one.rule);

  it('an open hi-hat while the foot closes it', () => {
    const exercise = exerciseOf([
      ['RH', 'hat-open', '4', '-x--'],
      ['LF', 'hat-foot', '4', '-x-x'],
    ]);
    expect(rules(exercise, 60)).toEqual(['open-hat-closed']);
  });

  it('a ghost right after an accent of the same hand, by tempo and across the seam', () => {
    const exercise = exerciseOf([['LH', 'snare', '16', 'g--------------X']]);
    expect(rules(exercise, 60)).toEqual([]);
    expect(rules(exercise, 100)).toEqual(['ghost-after-accent']);
  });

  it('a ghost after an accent inside the bar, and none after a tap or by the other hand', () => {
    expect(rules(exerciseOf([['LH', 'snare', '16', '----Xg----------']]), 100)).toEqual([
      'ghost-after-accent',
    ]);
    expect(rules(exerciseOf([['LH', 'snare', '16', '----xg----------']]), 100)).toEqual([]);
    const hands = exerciseOf([
      ['RH', 'snare', '16', '----X-----------'],
      ['LH', 'snare', '16', '-----g----------'],
    ]);
    expect(rules(hands, 100)).toEqual([]);
  });

  it('a half-open hi-hat that the foot closes, as an open one', () => {
    const half = exerciseOf([
      ['RH', 'hat-half', '4', '-x--'],
      ['LF', 'hat-foot', '4', '-x--'],
    ]);
    expect(rules(half, 60)).toEqual(['open-hat-closed']);
  });

  it('a voice that the kit lacks, once for each, and never the feet’s', () => {
    const made = exerciseOf([
      ['RH', 'ride', '4', 'xx--'],
      ['LH', 'tom-high', '4', '--xx'],
      ['RF', 'bass', '4', 'x---'],
    ]);
    const exercise = { ...made, kit: { ...made.kit, voices: ['ride'] as const } };
    expect(hindrances(exercise, at(60, exercise))).toEqual([
      { rule: 'voice-missing', at: quarters(2), voice: 'tom-high' },
    ]);
  });

  // 16ths at 100 lie 150 ms apart.
  it.each<[string, keyof Limits, readonly Part[]]>([
    [
      'hat-before-foot',
      'hatBeforeFoot',
      [
        ['RH', 'hat', '16', 'x---------------'],
        ['LF', 'hat-foot', '16', '-x--------------'],
      ],
    ],
    ['ghost-after-accent', 'ghostAfterAccent', [['LH', 'snare', '16', 'Xg--------------']]],
    [
      'foot-to-foot',
      'footToFoot',
      [
        ['RF', 'bass', '16', 'x---------------'],
        ['LF', 'hat-foot', '16', '-x--------------'],
      ],
    ],
    ['fast-run', 'handRun', [['LH', 'snare', '16', 'xxx-------------']]],
    ['fast-run', 'footRun', [['RF', 'bass', '16', 'xxx-------------']]],
  ])('%s: a limit is the least that is fine (%s)', (rule, limit, parts) => {
    const made = exerciseOf(parts);
    const within = (ms: number) => {
      const exercise = { ...made, kit: { ...made.kit, limits: { [limit]: ms } } };
      return rules(exercise, 100).filter((one) => one === rule);
    };
    expect(within(150)).toEqual([]);
    expect(within(151)).toEqual([rule]);
  });

  it('two in a row are no run, however fast', () => {
    expect(rules(exerciseOf([['LH', 'snare', '16', 'xx--']]), 240)).toEqual([]);
  });

  it('a run of one limb that is too fast, once, with its length', () => {
    const exercise = exerciseOf([['LH', 'snare', '8t', 'x--xxxxx----']]);
    expect(rules(exercise, 120)).toEqual([]);
    const [fast] = hindrances(exercise, at(220, exercise));
    expect(fast).toMatchObject({ rule: 'fast-run', limb: 'LH', strokes: 5, at: quarters(1) });
    expect(fast && sayHindrance(ENGLISH, fast, exercise)).toMatchObject({
      where: 'Bar 1, 2',
      reason: 'The left hand plays 5 in a row, 91 ms apart.',
    });
  });
});

describe('seamOf and limbLoads', () => {
  const recipe: ClosedRecipe = {
    ...blankRecipe(),
    play: { content: { text: '8r 4 4 8 4' } },
    as: startOf('phrase-cells'),
  };
  const exercise = must(expand(recipe));

  it('gives the interval across the seam and the tails', () => {
    expect(seamOf(exercise, at(60, exercise))).toEqual({
      gapTicks: quarters(1, 4),
      gapMs: 250,
      doubled: ['RF'],
      tails: 2,
    });
  });

  it('counts runs of one limb across the seam', () => {
    const loads = limbLoads(exercise, at(60, exercise));
    expect(loads.map((load) => [load.limb, load.strokes, load.longestRun])).toEqual([
      ['RH', 4, 1],
      ['LH', 8, 2],
      ['RF', 4, 2],
    ]);
    expect(loads.reduce((sum, load) => sum + load.perSecond, 0)).toBeCloseTo(4);
  });

  it('a run goes on while other limbs play along, and has no end where none comes in between', () => {
    const hats = ['RH', 'hat', '16', 'xxxxxxxxxxxxxxxx'] as const;
    const endless = exerciseOf([hats, ['LF', 'hat-foot', '4', 'xxxx']]);
    expect(limbLoads(endless, at(60, endless))).toMatchObject([
      { limb: 'RH', longestRun: 16, endless: true },
      { limb: 'LF', longestRun: 1, endless: false },
    ]);
    const shared = exerciseOf([
      ['RH', 'hat', '16', 'xxx-xxx-xxx-xxx-'],
      ['LH', 'snare', '16', 'x--xx--xx--xx--x'],
    ]);
    expect(limbLoads(shared, at(60, shared))).toMatchObject([
      { limb: 'RH', longestRun: 3, endless: false },
      { limb: 'LH', longestRun: 2, endless: false },
    ]);
  });

  it('a single stroke comes round after its cycle', () => {
    const one = exerciseOf([['RH', 'ride', '4', 'x---']]);
    expect(limbLoads(one, at(60, one))).toMatchObject([{ shortestGapMs: 4000, longestRun: 1 }]);
    expect(seamOf(one, at(60, one))).toMatchObject({ gapMs: 4000, doubled: [] });
  });

  it('says from which tempo on a run is too fast, before it is', () => {
    const lefts = exerciseOf([
      ['RH', 'ride', '4', 'x-'],
      ['LH', 'snare', '8t', '-xxxxx'],
    ]);
    // 8th triplets at 100 are 200 ms apart; 200 × 100 ÷ 110 = 181.8.
    expect(readBack(lefts, at(100, lefts)).runs).toEqual([
      { limb: 'LH', strokes: 5, gapMs: expect.closeTo(200), limitMs: 110, fromBpm: 182 },
    ]);
    expect(readBack(lefts, at(60, lefts)).runs).toEqual([]);
    expect(readBack(lefts, at(190, lefts)).runs).toEqual([]);
    expect(hindrances(lefts, at(190, lefts)).map(({ rule }) => rule)).toContain('fast-run');
  });

  it('are gathered in one readback', () => {
    const back = readBack(exercise, at(60, exercise));
    expect(back.composite?.text.split(' ').length).toBe(16);
    expect(back.bars).toBe(1);
  });
});
