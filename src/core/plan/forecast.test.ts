import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { ENGLISH, sayHelp } from '@/words';
import { seeded } from '../chance';
import type { LadderEvent } from '../log';
import {
  factsOf,
  followEvent,
  NO_FACTS,
  onDay,
  replay,
  rungAt,
  startFollowing,
  USUAL_COURSE,
  type Ladder,
} from '../ladder';
import { dayAt, dayNumber, daysAfter } from '../calendar';
import {
  expectedTriesOf,
  findHelp,
  forecast,
  keepingShare,
  missedDays,
  needsKit,
  nothingSeen,
  paceCounts,
  pacesOf,
  seePace,
  USUAL_SCHEDULE,
  workStateOf,
  type Forecasting,
} from '.';
import { blankRecipe, expand, startOf, toggleOstinato } from '../recipe';
import { must } from '../issue';
import { drawGamma, liveThrough } from './future';
import { BEGINNING, everyDay, paceOf, TODAY, work } from './plan.fixture';
import { goingFrom, type LadderInPlan } from './work';

const cells = {
  ...toggleOstinato(blankRecipe(), 'hats-2-4'),
  play: { content: { text: '4. 4 8 4' } },
  as: startOf('phrase-cells'),
};

const asked = (own: Partial<Forecasting> = {}): Forecasting => ({
  works: [work('a'), work('b')],
  states: [BEGINNING, BEGINNING],
  schedule: everyDay({ minutes: 30 }),
  today: TODAY,
  keeps: 1,
  seed: 1,
  futures: 150,
  ...own,
});

describe('forecast', () => {
  it('the same seed gives the same, another one nearly the same', () => {
    expect(forecast(asked())).toEqual(forecast(asked()));
    const [one, other] = [forecast(asked()), forecast(asked({ seed: 2 }))];
    const apart = dayNumber(one.program.middle ?? '') - dayNumber(other.program.middle ?? '');
    expect(Math.abs(apart)).toBeLessThanOrEqual(2);
  });

  it('ranges are in order, and the way only leads from here to there', () => {
    const { works, program, way } = forecast(asked());
    for (const range of [...works, program]) {
      expect([range?.early, range?.middle, range?.late].map((day) => day ?? '9')).toEqual(
        [range?.early, range?.middle, range?.late].map((day) => day ?? '9').sort(),
      );
    }
    for (const { low, middle, high } of way) {
      expect(low).toBeLessThanOrEqual(middle);
      expect(middle).toBeLessThanOrEqual(high);
    }
    expect(way[0]).toEqual({ day: TODAY, low: 0, middle: 0, high: 0 });
    expect(way.at(-1)?.middle).toBe(1);
  });

  it('who never misses a note needs cleans · rungs tries: 15, four of them a day, so the fourth day', () => {
    const sure = { clean: 1e9, other: 1e-9 };
    const works = [work('a', { pace: paceOf(sure, sure, 0) })];
    const schedule = everyDay({ minutes: 60 });
    const { program } = forecast(asked({ works, states: [BEGINNING], schedule }));
    expect(program).toMatchObject({
      early: '2026-03-05',
      middle: '2026-03-05',
      late: '2026-03-05',
    });
  });

  it('is no slower than the wait for a run of successes, and not much faster, when a try teaches little', () => {
    const half = { clean: 5e8, other: 5e8 };
    const pace = paceOf(half, half, 0);
    const works = [
      work('a', { trySeconds: [60], rule: { clean: 2, lost: 2, plateau: 20 }, cuts: false, pace }),
    ];
    const schedule = everyDay({ minutes: 1 });
    const found = forecast(asked({ works, states: [BEGINNING], schedule, futures: 1500 }));
    // One try a day: the median wait for two heads in a row is 5 tosses (by the Fibonacci counts).
    const days = dayNumber(found.program.middle ?? '9') - dayNumber(TODAY) + 1;
    expect(days).toBeLessThanOrEqual(5);
    expect(days).toBeGreaterThanOrEqual(4);
  });

  it('fewer days, days that are not kept and a weaker student are never faster', () => {
    const middle = (own: Partial<Forecasting>) => forecast(asked(own)).program.middle ?? '9';
    const now = middle({});
    expect(middle({ keeps: 0.5 }) >= now).toBe(true);
    expect(middle({ schedule: everyDay({ minutes: 12 }) }) >= now).toBe(true);
    const weak = paceOf({ clean: 4, other: 6 }, { clean: 5, other: 5 });
    expect(middle({ works: [work('a', { pace: weak }), work('b', { pace: weak })] }) > now).toBe(
      true,
    );
  });

  it('tells how likely the target date is', () => {
    const at = (target: string) =>
      forecast(asked({ schedule: everyDay({ minutes: 30 }, { target }) })).program.inTime ?? -1;
    expect(at(TODAY)).toBe(0);
    expect(at('2026-08-01')).toBeGreaterThan(0.95);
    expect(at('2026-03-12')).toBeLessThanOrEqual(at('2026-03-20'));
  });
});

describe('findHelp', () => {
  it('a day more in the week, fewer exercises, days that are kept: the most helpful first', () => {
    const { week } = everyDay({ minutes: 20 });
    const off = { ...week.Mon, minutes: 0 };
    const schedule = {
      ...USUAL_SCHEDULE,
      week: { ...week, Tue: off, Thu: off, Sat: off, Sun: off },
    };
    const help = findHelp(asked({ schedule, keeps: 0.6, futures: 150 }));
    expect(help.map((one) => one.kind)).toEqual(expect.arrayContaining(['day', 'keeps', 'fewer']));
    expect(help.map((one) => one.reached)).toEqual(help.map((one) => one.reached).sort());
    const [day] = help.filter((one) => one.kind === 'day');
    expect(day && sayHelp(ENGLISH, day, [])).toMatch(
      /^20 min on Tue too: \d+ (day|week)s earlier$/,
    );
  });

  it('where every day is taken, more minutes', () => {
    const help = findHelp(asked({ schedule: everyDay({ minutes: 12 }), futures: 150 }));
    expect(help.map((one) => one.kind)).toContain('minutes');
  });
});

/** The mean wait for a run of successes, (1 − pᶜ) / ((1 − p) pᶜ) (Feller, An Introduction to Probability Theory and Its
 * Applications, vol. 1, XIII.7; from memory). */
function waitForRun(chance: number, inARow: number): number {
  const all = chance ** inARow;
  return (1 - all) / ((1 - chance) * all);
}

describe('expectedTriesOf', () => {
  it('is the mean wait for so many clean of the last tries', () => {
    // By hand: none clean, the latest clean, the one before it: a = 2 + b, b = 1 + c / 2, c = 1 + a / 2.
    expect(expectedTriesOf(0.5, 2, 3)).toBeCloseTo(14 / 3, 6);
    expect(expectedTriesOf(1, 3, 4)).toBeCloseTo(3, 1);
  });

  it('is that of a run where all of the last tries have to be clean, never longer else', () => {
    for (const chance of [0.05, 0.3, 0.5, 0.8]) {
      for (const clean of [2, 3, 4]) {
        const run = waitForRun(chance, clean);
        expect(expectedTriesOf(chance, clean, clean) / run).toBeCloseTo(1, 4);
        expect(expectedTriesOf(chance, clean, clean + 1)).toBeLessThan(run);
        expect(expectedTriesOf(chance, clean, clean + 2)).toBeLessThan(
          expectedTriesOf(chance, clean, clean + 1),
        );
      }
    }
  });
});

describe('help where it is needed', () => {
  const half = { clean: 50, other: 50 };
  const weak = paceOf(half, half, 0.2, 0.01);
  const rule = { clean: 4, lost: 2, plateau: 20 };
  const steep = (id: string) =>
    work(id, { pace: weak, rule, trySeconds: Array.from({ length: 30 }, () => 120) });
  const few = { ...everyDay({ minutes: 10 }) };
  const now = asked({ works: [steep('a')], states: [BEGINNING], schedule: few, futures: 100 });
  let help: ReturnType<typeof findHelp>;
  beforeAll(() => {
    help = findHelp(now);
  });

  it('fewer clean in a row for what takes longest', () => {
    const softer = help.find((one) => one.kind === 'fewer-clean');
    expect(softer).toMatchObject({ work: 0, clean: 3, was: 4 });
    expect(softer && sayHelp(ENGLISH, softer, [{ name: 'Clave' }])).toMatch(
      /^3 clean in a row instead of 4 for Clave: /,
    );
  });

  it('clean ones of the last tries, where what goes in a row is broken off', () => {
    const last = help.find((one) => one.kind === 'last-tries');
    expect(last).toMatchObject({ work: 0, clean: 4, of: 5 });
    expect(last && sayHelp(ENGLISH, last, [{ name: 'Clave' }])).toMatch(
      /^4 of the last 5 clean, not in a row, for Clave: /,
    );
  });

  it('a target that is reached, as little lower as is enough', () => {
    expect(forecast(now).program.middle).toBeNull();
    const lower = help.find((one) => one.kind === 'lower-target');
    if (lower?.kind !== 'lower-target') throw new Error('no target is reached');
    const middleOf = (rungs: number) => {
      const works = [
        work('a', { pace: weak, rule, trySeconds: Array(rungs).fill(120) as number[] }),
      ];
      return forecast({ ...now, works }).program.middle;
    };
    expect(middleOf(30 - lower.rungs)).toBe(lower.reached);
    expect(middleOf(30 - lower.rungs + 1)).toBeNull();
    expect(sayHelp(ENGLISH, lower, [{ name: 'Clave' }])).toMatch(
      /^The target of Clave lower by \d+ rungs?: reached by /,
    );
  });

  it('all targets lower where one alone is not enough; it is never empty', () => {
    const works = ['a', 'b', 'c', 'd'].map((id) => ({ ...steep(id), rule: { ...rule, clean: 3 } }));
    const states = works.map(() => BEGINNING);
    const stuck = findHelp(asked({ works, states, schedule: few, keeps: 0.7, futures: 100 }));
    const all = stuck.find((one) => one.kind === 'lower-targets');
    expect(all && sayHelp(ENGLISH, all, works)).toMatch(
      /^Only \d+% of the rungs left of each ladder: reached by /,
    );
    const none = { ...few, week: everyDay({ minutes: 0 }).week };
    const first = findHelp(
      asked({ works: [work('a')], states: [BEGINNING], schedule: none, futures: 100 }),
    );
    expect(first.map(({ kind }) => kind)).toContain('day');
  });

  it('nothing lower is offered where all is reached in time', () => {
    const kinds = findHelp(asked({ futures: 100 })).map(({ kind }) => kind);
    expect(kinds).not.toContain('lower-target');
    expect(kinds).not.toContain('lower-targets');
    const schedule = everyDay({ minutes: 30 }, { target: daysAfter(TODAY, 1) });
    expect(findHelp(asked({ schedule, futures: 100 })).map(({ kind }) => kind)).toContain(
      'lower-targets',
    );
  });
});

describe('liveThrough', () => {
  const exercise = must(expand(cells));
  const facts = factsOf(exercise, cells);

  it('comes to where replaying the verdicts that it drew comes to', () => {
    fc.assert(
      fc.property(
        fc.record({
          seed: fc.nat(),
          climb: fc.boolean(),
          clean: fc.integer({ min: 1, max: 4 }),
          more: fc.option(fc.integer({ min: 1, max: 3 })),
          lost: fc.integer({ min: 1, max: 3 }),
          away: fc.option(fc.integer({ min: 2, max: 4 }), { nil: undefined }),
          below: fc.integer({ min: 1, max: 3 }),
          plateau: fc.integer({ min: 1, max: 6 }),
          chance: fc.constantFrom(0.2, 0.5, 0.8, 0.95),
          facts: fc.constantFrom(facts, NO_FACTS),
          rungs: fc.integer({ min: 1, max: 6 }),
        }),
        ({ seed, climb, chance, facts: known, rungs, more, ...counted }) => {
          const rule = more === null ? counted : { ...counted, of: counted.clean + more };
          const ladder: Ladder = { kind: 'list', tempi: [60, 65, 70, 75, 80, 85].slice(0, rungs) };
          const following = { course: { ...USUAL_COURSE, ladder, climb, rule }, facts: known };
          const start = replay(following, []);
          const tally = { clean: 1e6 * chance, other: 1e6 * (1 - chance) };
          const of = work('a', {
            trySeconds: start.rungs.map(() => 120),
            rule,
            varies: known !== NO_FACTS,
            pace: paceOf(tally, tally, 0.5),
          });
          const going: LadderInPlan[] = [
            goingFrom(workStateOf(start, { missed: false, today: { tries: 0, seconds: 0 } })),
          ];
          const log: LadderEvent[] = [];
          const followed = startFollowing(following);
          const days = Array.from({ length: 60 }, (_, index) => ({
            number: dayNumber(TODAY) + index,
            stretches: [{ on: 'kit' as const, seconds: 900 }],
          }));
          liveThrough([of], going, days, 'blocked', 0.5, seeded(seed), {
            onTry(_work, verdict, day) {
              const now = onDay(followed.state, following.course, dayAt(day));
              const { key, bpm } = rungAt(now.rungs, now.rung);
              const said = { rung: key, suffered: [], broke: [] };
              const id = String(log.length);
              const entry = { kind: 'try' as const, id, day: dayAt(day), bpm, verdict, ...said };
              log.push(entry);
              followEvent(followed, entry, following);
            },
          });
          const missed = log.some((one) => one.kind === 'try' && one.verdict !== 'clean');
          const today = { tries: 0, seconds: 0 };
          const { today: _, ...replayed } = workStateOf(replay(following, log), { missed, today });
          const [{ triesToday: _t, share: _s, ...forecast } = goingFrom(BEGINNING)] = going;
          expect(log.length).toBeGreaterThan(0);
          expect(forecast).toEqual(replayed);
        },
      ),
      { numRuns: samples(150) },
    );
  });
});

describe('a head start', () => {
  const sure = { clean: 1e9, other: 1e-9 };
  const perfect = paceOf(sure, sure, 0);
  const pair = (headStart: boolean, pace = perfect) => [
    work('a', { pace }),
    work('b', { pace: perfect, after: [0], headStart }),
  ];
  const days = (works: ReturnType<typeof pair>) => {
    const found = forecast(asked({ works, schedule: everyDay({ minutes: 60 }) }));
    return dayNumber(found.program.middle ?? '9') - dayNumber(TODAY);
  };

  it('saves the tries of the rungs below the middle: nine of thirty instead of fifteen', () => {
    // Four tries of a work a day: 15 tries are 4 days, 9 tries 3, the second beginning on the day the first is through.
    expect(days(pair(false)) - days(pair(true))).toBeGreaterThanOrEqual(1);
  });

  it('is none for what follows something that was missed once', () => {
    const states = [{ ...BEGINNING, missed: true }, BEGINNING];
    const schedule = everyDay({ minutes: 60 });
    const found = (headStart: boolean) =>
      forecast(asked({ works: pair(headStart), states, schedule }));
    expect(found(true)).toEqual(found(false));
  });
});

describe('a ladder that waits for the teacher', () => {
  it('keeps its rung after days away in a future too, as replaying does', () => {
    const rule = { clean: 20, lost: 20, plateau: 20, away: 2 };
    const tally = { clean: 1, other: 1 };
    const stands = { ...BEGINNING, rung: 2, best: 2, lastDay: dayNumber(TODAY) - 9 };
    const rungAfter = (waits: boolean) => {
      const going = [goingFrom(stands)];
      const day = { number: dayNumber(TODAY), stretches: [{ on: 'kit' as const, seconds: 700 }] };
      const works = [work('a', { rule, waits, pace: paceOf(tally, tally, 0) })];
      liveThrough(works, going, [day], 'blocked', 1, seeded(1), {});
      return going[0]?.rung;
    };
    expect(rungAfter(true)).toBe(2);
    expect(rungAfter(false)).toBe(1);
  });
});

describe('drawGamma', () => {
  it('has mean and variance of its shape', () => {
    const random = seeded(5);
    for (const shape of [0.5, 2, 9]) {
      const drawn = Array.from({ length: 20_000 }, () => drawGamma(shape, random));
      const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length;
      const spread = drawn.reduce((sum, one) => sum + (one - mean) ** 2, 0) / drawn.length;
      expect(mean / shape).toBeCloseTo(1, 1);
      expect(spread / shape).toBeCloseTo(1, 0);
    }
  });
});

describe('pacesOf', () => {
  it('an item without tries goes by the others, one with many by its own', () => {
    const seen = nothingSeen();
    const of = { course: USUAL_COURSE, facts: NO_FACTS };
    const log: LadderEvent[] = Array.from({ length: 30 }, (_, index) => ({
      kind: 'try',
      id: String(index),
      day: TODAY,
      bpm: 60,
      rung: null,
      verdict: index % 3 === 0 ? 'lost' : 'shaky',
      suffered: [],
      broke: [],
    }));
    replay(of, log, (one, before) => seePace(seen, { verdict: one.verdict, seconds: 60 }, before));
    const [weak, unknown] = pacesOf([paceCounts(seen), paceCounts(nothingSeen())]);
    expect(weak?.fresh.clean).toBeLessThan(1);
    expect((unknown?.known.clean ?? 0) + (unknown?.known.other ?? 0)).toBeCloseTo(4);
    expect(weak?.lost).toBeCloseTo(0.28, 1);
  });
});

describe('seePace', () => {
  it('new ground is the highest rung so far; below it, and once it is passed, it is known', () => {
    const ladder: Ladder = { kind: 'list', tempi: [60, 70] };
    const rule = { clean: 1, lost: 1, plateau: 20 };
    const seen = nothingSeen();
    const log = 'CLCCC'.split('').map((letter, index): LadderEvent => {
      const verdict = letter === 'C' ? 'clean' : 'lost';
      const bpm = [60, 70, 60, 70, 70][index] ?? 0;
      const said = { rung: null, suffered: [], broke: [] };
      return { kind: 'try', id: String(index), day: TODAY, bpm, verdict, ...said };
    });
    const { passed } = replay(
      { course: { ...USUAL_COURSE, ladder, rule }, facts: NO_FACTS },
      log,
      (one, before) => seePace(seen, { verdict: one.verdict, seconds: 60 }, before),
    );
    expect(passed).toBe(true);
    expect(paceCounts(seen)).toMatchObject({
      fresh: { clean: 2, other: 1 },
      known: { clean: 2, other: 0 },
      lost: 1,
    });
  });

  it('who goes up and down below a wall is not expected to climb it soon', () => {
    const going = { rung: 2, best: 2, passed: false, climbing: false };
    const seen = nothingSeen();
    for (let nth = 0; nth < 40; nth += 1) {
      const at = nth % 2 === 0 ? going : { ...going, rung: 1 };
      const verdict = nth % 2 === 1 || nth % 20 === 0 ? 'clean' : 'shaky';
      seePace(seen, { verdict, seconds: 300 }, at);
    }
    const [wall] = pacesOf([paceCounts(seen)]);
    if (!wall) throw new Error('no pace');
    const stuck = { ...BEGINNING, rung: 1, best: 2 };
    const found = forecast(
      asked({ works: [work('a', { pace: wall })], states: [stuck], futures: 200 }),
    );
    const far = found.program.middle ?? '9';
    expect(far > daysAfter(TODAY, 21)).toBe(true);
    const open = paceOf({ clean: 15, other: 5 }, wall.known, 0.5);
    const free = forecast(
      asked({ works: [work('a', { pace: open })], states: [stuck], futures: 200 }),
    );
    expect((free.program.middle ?? '9') < daysAfter(TODAY, 12)).toBe(true);
  });
});

describe('what was practised', () => {
  const schedule = everyDay({ minutes: 30 }, { since: '2026-01-01' });
  const on = (...days: string[]) => new Set(days);

  it('names the planned dates since the last practice', () => {
    expect(missedDays(schedule, on('2026-02-26', '2026-02-27'), TODAY)).toEqual([
      '2026-02-28',
      '2026-03-01',
    ]);
    expect(missedDays(schedule, on('2026-03-01'), TODAY)).toEqual([]);
    expect(missedDays(schedule, on(), TODAY)).toEqual([]);
    const off = [{ from: '2026-02-28', to: '2026-03-01' }];
    expect(missedDays({ ...schedule, off }, on('2026-02-27'), TODAY)).toEqual([]);
    const late = { ...schedule, since: '2026-03-01' };
    expect(missedDays(late, on('2026-02-20'), TODAY)).toEqual(['2026-03-01']);
    expect(missedDays({ ...schedule, since: null }, on('2026-02-20'), TODAY)).toEqual([]);
  });

  it('knows how planned dates are kept', () => {
    expect(keepingShare(schedule, on(), TODAY)).toBe(3 / 4);
    const half = on('2026-02-20', '2026-02-22', '2026-02-24', '2026-02-26', '2026-02-28');
    expect(keepingShare(schedule, half, TODAY)).toBeCloseTo(8 / 14);
  });

  it('knows what a pad can do', () => {
    const made = (id: string) => must(expand(toggleOstinato(blankRecipe(), id)));
    expect(needsKit(made('one-hand-16ths-upbeats'))).toBe(false);
    expect(needsKit(made('samba-feet'))).toBe(true);
    // Hat and snare on one pad are one sound.
    expect(needsKit(made('rock-8ths'))).toBe(true);
  });
});
