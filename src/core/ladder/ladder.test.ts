import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue, sayRung } from '@/words';
import { must } from '../issue';
import {
  EMPTY_LADDER,
  leastMinutesOf,
  makeLadder,
  rampBpm,
  readWay,
  rungAt,
  rungsOf,
  stepCourse,
  typeLadder,
  writeWay,
  type Ladder,
} from '.';
import { expand, overThese } from '../recipe';
import { quarters } from '../time';

function tempi(ladder: Ladder): number[] {
  return rungsOf(ladder).map((rung) => rung.bpm);
}

function way(kind: 'fixed' | 'two-up', start: number, target: number, step: number): Ladder {
  return { kind, start, target, step };
}

function list(...all: number[]): Ladder {
  return { kind: 'list', tempi: all };
}

describe('rungsOf', () => {
  it.each([
    [way('fixed', 60, 100, 5), [60, 65, 70, 75, 80, 85, 90, 95, 100]],
    [way('fixed', 60, 72, 5), [60, 65, 70, 72]],
    [way('fixed', 100, 80, -10), [100, 90, 80]],
    [way('fixed', 70, 70, 5), [70]],
    [way('two-up', 60, 72, 5), [60, 65, 70, 65, 70, 72]],
    [way('two-up', 60, 65, 5), [60, 65]],
    [list(100, 80, 110, 120), [100, 80, 110, 120]],
    [
      { kind: 'alternate', slow: 50, start: 70, target: 80, step: 5 } as const,
      [50, 70, 50, 75, 50, 80],
    ],
  ])('%j', (ladder, expected) => {
    expect(tempi(ladder)).toEqual(expected);
  });

  it('by percent, rounded from the exact power: 60 → 100 by 5 %', () => {
    const ladder: Ladder = { kind: 'percent', start: 60, target: 100, percent: 5 };
    expect(tempi(ladder)).toEqual([60, 63, 66, 69, 73, 77, 80, 84, 89, 93, 98, 100]);
  });

  it('two up, one down by 5 from 60: 60 65 70 65 70 75 …, and 100 after 21 visits', () => {
    const visits = tempi(way('two-up', 60, 100, 5));
    expect(visits.slice(0, 6)).toEqual([60, 65, 70, 65, 70, 75]);
    expect(visits).toHaveLength(21);
    expect(visits.at(-1)).toBe(100);
    expect(visits.indexOf(100)).toBe(20);
  });

  it('holds one tempo for longer and longer', () => {
    const rungs = rungsOf({ kind: 'hold', bpm: 70, from: 2, to: 5, by: 2 });
    expect(rungs.map((rung) => rung.dosage?.amount)).toEqual([2, 4, 5]);
    expect(rungs.map((rung) => rung.bpm)).toEqual([70, 70, 70]);
    expect(new Set(rungs.map((rung) => rung.key)).size).toBe(3);
  });

  it('a ramp is one try: 60 → 72 by 5 every 4 bars takes 16 bars', () => {
    const [rung, ...others] = rungsOf({ kind: 'ramp', start: 60, target: 72, step: 5, every: 4 });
    if (!rung) throw new Error('no rung');
    expect(others).toEqual([]);
    expect(rung.dosage).toEqual({ kind: 'bars', amount: 16 });
    expect([0, 3, 4, 8, 12, 15].map((bar) => rampBpm(rung, bar))).toEqual([60, 60, 65, 70, 72, 72]);
  });

  it('stages are rungs that are not tempi', () => {
    const rungs = rungsOf({
      kind: 'stages',
      bpm: 60,
      stages: [
        { kind: 'manner', manner: 'voice' },
        { kind: 'manner', manner: 'click-off' },
      ],
    });
    expect(rungs.map((rung) => sayRung(ENGLISH, rung.asks))).toEqual([
      'sung and counted',
      'without a click',
    ]);
  });

  const tempo = fc.integer({ min: 20, max: 400 });
  const steps = fc.integer({ min: 1, max: 60 });
  const up = (start: number, target: number) => (target >= start ? 1 : -1);
  const anyLadder: fc.Arbitrary<Ladder> = fc.oneof(
    fc
      .tuple(tempo, tempo, steps, fc.constantFrom('fixed' as const, 'two-up' as const))
      .map(([start, target, step, kind]): Ladder => ({
        kind,
        start,
        target,
        step: step * up(start, target),
      })),
    fc.tuple(tempo, tempo, steps).map(([start, target, percent]): Ladder => {
      return { kind: 'percent', start, target, percent: percent * up(start, target) };
    }),
    fc.tuple(tempo, tempo, tempo, steps).map(([slow, start, target, step]): Ladder => {
      return { kind: 'alternate', slow, start, target, step: step * up(start, target) };
    }),
    fc.array(tempo, { minLength: 1, maxLength: 20 }).map((list): Ladder => ({
      kind: 'list',
      tempi: list,
    })),
    fc
      .tuple(tempo, tempo, steps, fc.integer({ min: 1, max: 16 }))
      .map(([start, target, step, every]): Ladder => ({
        kind: 'ramp',
        start,
        target,
        step: step * up(start, target),
        every,
      })),
  );

  function targetOf(ladder: Ladder): number | undefined {
    return ladder.kind === 'list' ? ladder.tempi.at(-1) : 'target' in ladder ? ladder.target : NaN;
  }

  it('every ladder ends at its target', () => {
    fc.assert(
      fc.property(anyLadder, (ladder) => {
        const last = rungsOf(ladder).at(-1);
        expect(last?.ramp?.to ?? last?.bpm).toBe(targetOf(ladder));
      }),
    );
  });

  it('never steps wider than it says, and never past the target', () => {
    fc.assert(
      fc.property(tempo, tempo, steps, (start, target, width) => {
        const rungs = tempi(way('fixed', start, target, width * up(start, target)));
        for (let i = 1; i < rungs.length; i += 1) {
          const move = ((rungs[i] ?? 0) - (rungs[i - 1] ?? 0)) * up(start, target);
          expect(move > 0 && move <= width).toBe(true);
        }
      }),
    );
  });

  it('typed into fields and read back, is the same', () => {
    fc.assert(
      fc.property(anyLadder, (ladder) => {
        const typed = makeLadder(typeLadder(ladder));
        if (typed.ok) expect(typed.value).toEqual(ladder);
        else expect(typed.issues.map((issue) => issue.code)).toEqual(['ladder-long']);
      }),
    );
  });
});

describe('makeLadder', () => {
  it.each([
    [{ step: '0' }, ['ladder-step-zero']],
    [{ step: '-5' }, ['ladder-step-away']],
    [{ start: '10', target: '500' }, ['tempo', 'tempo']],
    [{ start: '', step: 'x' }, ['tempo', 'ladder-step-zero']],
    [{ step: '0.01' }, ['ladder-long']],
    [{ kind: 'percent', step: '-100', target: '50' }, ['ladder-step-zero']],
    [{ kind: 'list', list: ' ' }, ['ladder-empty']],
    [{ kind: 'list', list: '60 fast 70' }, ['tempo']],
    [{ kind: 'ramp', every: '0' }, ['ladder-number']],
    [{ kind: 'hold', start: '5', target: '2', step: '1' }, ['ladder-step-away']],
    [{ kind: 'stages' }, ['ladder-empty']],
  ] as const)('refuses %j', (typed, codes) => {
    const made = makeLadder({ ...EMPTY_LADDER, ...typed });
    expect(made.ok ? [] : made.issues.map((issue) => issue.code)).toEqual(codes);
    if (!made.ok)
      for (const issue of made.issues) expect(sayIssue(ENGLISH, issue)).toMatch(/\. [A-Z]/);
  });

  it('says how to mend a step that leads away', () => {
    const made = makeLadder({ ...EMPTY_LADDER, step: '-5' });
    expect(made.ok ? '' : made.issues.map((one) => sayIssue(ENGLISH, one)).join()).toBe(
      'A step of −5 leads away from 100 when starting at 60. Set it to +5, or swap start and target.',
    );
  });

  it('a list may be written with commas or arrows', () => {
    const made = must(makeLadder({ ...EMPTY_LADDER, kind: 'list', list: '100→80, 110 -> 120' }));
    expect(tempi(made)).toEqual([100, 80, 110, 120]);
  });

  it('an unknown rung is a bug', () => {
    expect(() => rungAt([], 0)).toThrow(RangeError);
  });
});

describe('steps with tempi of their own', () => {
  const manner = { kind: 'manner', manner: 'soft' } as const;
  const ladder = {
    kind: 'stages',
    bpm: 70,
    stages: [
      { ...manner, way: { start: 50, target: 60, step: 5 } },
      { kind: 'manner', manner: 'pad' },
    ],
  } as const;

  it('climb through them before the next; the others keep the ladder’s tempo', () => {
    const rungs = rungsOf({ ...ladder, stages: [...ladder.stages] });
    expect(rungs.map((rung) => rung.bpm)).toEqual([50, 55, 60, 70]);
    expect(new Set(rungs.map((rung) => rung.key)).size).toBe(4);
    expect(rungs[1]?.asks).toEqual({ kind: 'manner', manner: 'soft', bpm: 55 });
    expect(rungs[3]?.asks).toEqual({ kind: 'manner', manner: 'pad' });
  });

  it.each([
    ['60', { start: 60, target: 60, step: 5 }],
    ['60 80', { start: 60, target: 80, step: 5 }],
    ['60 → 80 / 10', { start: 60, target: 80, step: 10 }],
    ['80 60', { start: 80, target: 60, step: -5 }],
    ['', null],
    ['5', undefined],
    ['60 80 0', undefined],
    ['soon', undefined],
    ['60 70 80 90', undefined],
  ])('reads %j', (text, way) => {
    expect(readWay(text)).toEqual(way);
    if (way) expect(readWay(writeWay(way))).toEqual(way);
  });
});

describe('stepCourse', () => {
  it('takes minutes where five minutes a try take hours', () => {
    const { ladder, rule, dosage } = stepCourse(60, 'step');
    expect(rungsOf(ladder).map((rung) => rung.bpm)).toEqual([60, 70, 80]);
    // By hand: 8 bars of 4/4 are 32 beats: 32 s at 60, 27.4 s at 70, 24 s at 80; three times each.
    const rock = must(expand(overThese('rock-8ths')));
    const least = leastMinutesOf(ladder, rule, dosage, rock, quarters(1));
    expect(60 * least).toBeCloseTo(3 * (32 + (32 * 60) / 70 + 24), 6);
    const long = leastMinutesOf(ladder, rule, { kind: 'minutes', amount: 5 }, rock, quarters(1));
    expect(long).toBeGreaterThan(5 * least);
    expect(rungsOf(stepCourse(60, 'whole').ladder).at(-1)?.bpm).toBe(100);
  });
});
