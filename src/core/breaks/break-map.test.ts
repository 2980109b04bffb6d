import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayBand, sayCrossing } from '@/words';
import { must } from '../issue';
import { bridgeLoop } from '../ladder';
import { blankRecipe, expand, toggleOstinato, type ClosedRecipe } from '../recipe';
import { bpm, formatFeel, quarters, tempoFor } from '../time';
import {
  bandOf,
  countCrossings,
  CrossingTally,
  crossingsOf,
  riskOf,
  weakCrossings,
  weaknessOf,
  type PlayedTry,
} from '.';

/** Right hand on every quarter, right foot on 1 and 3, left hand on 2 and 4. */
const rock: ClosedRecipe = {
  ...blankRecipe(),
  over: [
    {
      content: {
        name: 'rock',
        meter: '4/4',
        swung: false,
        lanes: [
          { limb: 'RH', voice: 'hat', slot: '4', grid: 'x' },
          { limb: 'RF', voice: 'bass', slot: '4', grid: 'x-' },
          { limb: 'LH', voice: 'snare', slot: '4', grid: '-x' },
        ],
      },
    },
  ],
};
const exercise = must(expand(rock));
const tempo = tempoFor(exercise.meter, bpm(60));

function swung(long: number, short: number) {
  return { kind: 'swung', long, short } as const;
}

function tryOf(verdict: PlayedTry['verdict'], ...broke: number[]): PlayedTry {
  return { item: 'i', exercise, tempo, verdict, broke };
}

describe('crossingsOf', () => {
  it('is a chain over the cycle, the seam last, each arriving on its beat', () => {
    const chain = crossingsOf(exercise, tempo);
    expect(chain.map((one) => [sayCrossing(ENGLISH, one), one.gapMs, one.beat])).toEqual([
      ['right hand and right foot → right hand and left hand', 1000, 1],
      ['right hand and left hand → right hand and right foot', 1000, 2],
      ['right hand and right foot → right hand and left hand', 1000, 3],
      ['right hand and left hand → right hand and right foot', 1000, 0],
    ]);
  });

  it('the same limbs at another speed are another crossing', () => {
    const [slow] = crossingsOf(exercise, tempo);
    const [fast] = crossingsOf(exercise, tempoFor(exercise.meter, bpm(200)));
    expect(slow?.key).not.toBe(fast?.key);
    expect(fast && sayBand(ENGLISH, fast.band)).toBe('220–320 ms');
  });

  it('bands leave no gap and do not overlap', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3000, noNaN: true }), (ms) => {
        const { from, to } = bandOf(ms);
        expect(ms >= (from ?? 0) && ms < (to ?? Infinity)).toBe(true);
      }),
    );
    expect(sayBand(ENGLISH, bandOf(99.9))).toBe('under 100 ms');
    expect(sayBand(ENGLISH, bandOf(100))).toBe('100–150 ms');
    expect(sayBand(ENGLISH, bandOf(700))).toBe('over 700 ms');
  });
});

function counted(tries: readonly PlayedTry[]) {
  const tally = new CrossingTally();
  for (const one of tries) tally.add(one);
  return countCrossings([tally]);
}

describe('countCrossings', () => {
  it('a clean try passes all; one that broke on beat 2 breaks what arrives there', () => {
    const counts = counted([tryOf('clean'), tryOf('lost', 1), tryOf('shaky', 1)]);
    expect(counts.map((one) => [sayCrossing(ENGLISH, one), one.breaks, one.passes])).toEqual([
      ['right hand and right foot → right hand and left hand', 2, 1],
      ['right hand and left hand → right hand and right foot', 0, 3],
    ]);
    expect(counts[0]?.lately).toEqual({ item: 'i', fromAt: 0, toAt: quarters(1) });
  });

  it('a try that was not clean and says no beat tells nothing', () => {
    expect(counted([tryOf('lost'), tryOf('shaky')])).toEqual([]);
  });

  it('every counted try either passes or breaks each crossing, once', () => {
    const tries = fc.array(
      fc.record({
        verdict: fc.constantFrom('clean' as const, 'shaky' as const, 'lost' as const),
        broke: fc.uniqueArray(fc.integer({ min: 0, max: 3 }), { maxLength: 2 }),
      }),
    );
    fc.assert(
      fc.property(tries, (all) => {
        const played = all.map(({ verdict, broke }) => tryOf(verdict, ...broke));
        const telling = all.filter((one) => one.verdict === 'clean' || one.broke.length > 0);
        for (const count of counted(played)) {
          expect(count.breaks + count.passes).toBe(telling.length);
          expect(count.weakness > 0 && count.weakness < 1).toBe(true);
        }
      }),
    );
  });

  it('several tallies add up to one of all their tries, and a copy goes its own way', () => {
    const some = [tryOf('clean'), tryOf('lost', 1)];
    const others = [tryOf('shaky', 1), tryOf('clean')];
    const [one, other] = [some, others].map((tries) => {
      const tally = new CrossingTally();
      for (const each of tries) tally.add(each);
      return tally;
    });
    if (!one || !other) throw new Error('two tallies');
    expect(countCrossings([one, other])).toEqual(counted([...some, ...others]));
    const copy = one.copy();
    copy.add(tryOf('clean'));
    expect(countCrossings([one])).toEqual(counted(some));
    expect(countCrossings([copy])).toEqual(counted([...some, tryOf('clean')]));
  });

  it('weakness leans on what is usual until there is evidence (5 in 10: 6/30; 0 in 80: 1/100)', () => {
    expect(weaknessOf(5, 5)).toBeCloseTo(0.2);
    expect(weaknessOf(0, 80)).toBeCloseTo(0.01);
  });
});

describe('riskOf', () => {
  it('finds weak crossings in another exercise, and none where none are known', () => {
    const weak = weakCrossings(counted(Array.from({ length: 6 }, () => tryOf('lost', 1))));
    expect(weak).toHaveLength(1);
    const other = must(expand({ ...rock, meter: '2/4' }));
    const risk = riskOf(other, tempo, weak);
    expect(risk.at).toMatchObject([{ breaks: 6, passes: 0 }]);
    expect(risk.chance).toBeCloseTo(7 / 26);
    expect(riskOf(other, tempoFor(other.meter, bpm(200)), weak).chance).toBe(0);
    expect(riskOf(other, tempo, [])).toEqual({ chance: 0, at: [] });
  });

  it('one break may be chance', () => {
    expect(weakCrossings(counted([tryOf('lost', 1)]))).toEqual([]);
  });
});

describe('bridgeLoop', () => {
  it('plays the two events in turn, as far apart as they were', () => {
    const loop = must(expand(must(bridgeLoop(rock, 0, quarters(1)))));
    const chain = crossingsOf(loop, tempo);
    expect(new Set(chain.map((one) => one.gapMs))).toEqual(new Set([1000]));
    expect(new Set(chain.map((one) => sayCrossing(ENGLISH, one)))).toEqual(
      new Set(crossingsOf(exercise, tempo).map((one) => sayCrossing(ENGLISH, one))),
    );
  });

  it('what lies on a beat stays on one: & of 1 → 2 in 8ths', () => {
    const feet = { ...rock, changes: [] };
    const lanes = [
      { limb: 'RH' as const, voice: 'hat' as const, slot: '8' as const, grid: 'x-' },
      { limb: 'LF' as const, voice: 'hat-foot' as const, slot: '8' as const, grid: '-x' },
    ];
    const content = { name: 'feet', meter: '4/4', swung: false, lanes };
    const loop = must(bridgeLoop({ ...feet, over: [{ content }] }, quarters(1, 2), quarters(1)));
    const strokes = must(expand(loop)).strokes;
    const places = (limb: string) =>
      new Set(strokes.filter((one) => one.limb === limb).map((one) => one.at % quarters(1)));
    expect(places('RH')).toEqual(new Set([0]));
    expect(places('LF')).toEqual(new Set([quarters(1, 2)]));
  });

  it('of any two neighbours in a shipped ostinato, crosses just that way', () => {
    for (const id of ['jazz-ride', 'samba-feet', 'rock-8ths', 'clave-3-2']) {
      const recipe = toggleOstinato(blankRecipe(), id);
      const whole = must(expand(recipe));
      for (const { fromAt, toAt, gapMs, ...step } of crossingsOf(whole, tempo)) {
        const loop = bridgeLoop(recipe, fromAt, toAt);
        const chain = crossingsOf(must(expand(must(loop))), tempo);
        expect(chain[0]?.gapMs).toBeCloseTo(gapMs);
        expect(chain.map((one) => sayCrossing(ENGLISH, one))).toContain(sayCrossing(ENGLISH, step));
      }
    }
  });

  const lanes = (slot: '16' | '8' | '5', grid: string, foot: '8t' | '16' | '5', feet: string) => [
    { limb: 'RH' as const, voice: 'hat' as const, slot, grid },
    { limb: 'LF' as const, voice: 'hat-foot' as const, slot: foot, grid: feet },
  ];
  const uneven: readonly (readonly [string, ClosedRecipe['feel'], ReturnType<typeof lanes>])[] = [
    ['8ths swung 4:1 against triplets', swung(4, 1), lanes('8', 'xx', '8t', 'xxx')],
    ['8ths swung 7:3 against triplets', swung(7, 3), lanes('8', 'xx', '8t', '--x')],
    ...[swung(3, 2), swung(5, 3), swung(5, 4), swung(7, 5)].map(
      (feel) => [`16ths ${formatFeel(feel)}`, feel, lanes('16', 'x-x-', '16', '-x-x')] as const,
    ),
    ['fives against fours', { kind: 'straight' }, lanes('5', 'xxxxx', '16', 'xxxx')],
  ];

  it.each(uneven)('%s: as far apart as they sound, in four bars at most', (_, feel, beat) => {
    const content = { name: 'uneven', meter: '4/4', swung: false, lanes: beat };
    const recipe: ClosedRecipe = { ...blankRecipe(), feel, over: [{ content }] };
    const whole = must(expand(recipe));
    for (const { fromAt, toAt, gapMs, ...step } of crossingsOf(whole, tempo)) {
      const loop = must(expand(must(bridgeLoop(recipe, fromAt, toAt))));
      expect(loop.bars).toBeLessThanOrEqual(4);
      const same = crossingsOf(loop, tempo).filter((one) => Math.abs(one.gapMs - gapMs) < 0.1);
      expect(same.map((one) => sayCrossing(ENGLISH, one))).toContain(sayCrossing(ENGLISH, step));
    }
  });

  it('refuses places where nothing is struck', () => {
    expect(bridgeLoop(rock, 1, 2)).toMatchObject({ issues: [{ code: 'nothing-to-play' }] });
    expect(bridgeLoop(rock, 0, 0)).toMatchObject({ issues: [{ code: 'nothing-to-play' }] });
  });
});
