import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayUnfit } from '@/words';
import {
  blocksOf,
  findUnfit,
  hoursOn,
  moveSession,
  planDays,
  planToday,
  stretchesOf,
  withDay,
  type Plan,
  type PlannedDay,
  type Planning,
} from '.';
import { dayNumber } from '../calendar';
import { must } from '../issue';
import { anyPlanning, BEGINNING, everyDay, passedOn, TODAY, work } from './plan.fixture';

/** A day as text: kind, work and tries of each block. */
function told(planning: Planning, day: PlannedDay | undefined): readonly string[] {
  return blocksOf(day?.entries ?? []).map(({ work: index, kind, tries, on }) => {
    const name = planning.works[index]?.id ?? '';
    return `${kind} ${name} ${tries}${on === 'pad' ? ' pad' : ''}`.replace('  1', '');
  });
}

function planning(own: Partial<Planning> & Pick<Planning, 'works'>): Planning {
  return {
    states: own.works.map(() => BEGINNING),
    schedule: everyDay({ minutes: 30 }),
    today: TODAY,
    count: 28,
    ...own,
  };
}

const firstDay = (of: Planning) => told(of, planDays(of).days[0]);

describe('planDays', () => {
  const three = [work('a'), work('b'), work('c')];

  it('what others wait for has its second ten minutes when it is asked for again', () => {
    const works = [work('a'), work('b', { after: [0] })];
    const of = (states = [BEGINNING, BEGINNING]) => firstDay(planning({ works, states }));
    expect(of()).toEqual(['new a 2']);
    const played = { ...BEGINNING, lastDay: dayNumber(TODAY), today: { tries: 2, seconds: 640 } };
    expect(of([played, BEGINNING])).toEqual(['new a 2']);
    // The days to come are gone through with it.
    const plan = planDays(planning({ works }));
    expect(told(planning({ works }), plan.days[1])[0]).toBe('new a 4');
  });

  it('blocked: ten minutes of each, and the last try is cut where half of it fits', () => {
    expect(firstDay(planning({ works: three }))).toEqual(['new a 2', 'new b 2', 'new c 2']);
    const [day] = planDays(planning({ works: three })).days;
    // 30 minutes less five tries of 5 min 20 s.
    expect(day?.entries.at(-1)).toMatchObject({ work: 2, playSeconds: 180, cutTo: 3 });
    const short = [work('a', { trySeconds: Array(5).fill(32) as number[] }), work('b')];
    // 18 of 32 s are 9.6 minutes of playing, 19 would be more than ten; of 20 minutes as much is left for the other.
    const schedule = everyDay({ minutes: 20 });
    expect(firstDay(planning({ works: short, schedule }))).toEqual(['new a 18', 'new b 1']);
  });

  it('interleaved: exercises take turns', () => {
    const schedule = everyDay({ minutes: 30 }, { order: 'interleaved' });
    expect(firstDay(planning({ works: three, schedule }))).toEqual([
      'new a 1',
      'new b 1',
      'new c 1',
      'new a 1',
      'new b 1',
      'new c 1',
    ]);
  });

  it('warms up on a day of exactly 15 minutes, and on none that is shorter', () => {
    const works = [work('new'), work('rests', { weight: 0.5 })];
    const states = [BEGINNING, passedOn('2026-02-28', '2026-03-08')];
    const on = (minutes: number) =>
      firstDay(planning({ works, states, schedule: everyDay({ minutes }) }))[0];
    expect(on(15)).toBe('warm-up rests 1');
    expect(on(14)).toMatch(/^new new/);
  });

  it('warms up with what is passed and rests, and ends with what is due', () => {
    const works = [work('due'), work('new'), work('rests', { weight: 0.5 })];
    const states = [passedOn('2026-02-27', TODAY), BEGINNING, passedOn('2026-02-28', '2026-03-08')];
    expect(firstDay(planning({ works, states }))).toEqual([
      'warm-up rests 1',
      'new new 4',
      'review due 1',
    ]);
  });

  it('what was begun goes on before something new begins, and what waits waits', () => {
    const works = [work('a', { after: [1] }), work('b'), work('c')];
    const states = [
      BEGINNING,
      BEGINNING,
      { ...BEGINNING, rung: 2, lastDay: dayNumber('2026-03-01') },
    ];
    expect(firstDay(planning({ works, states }))).toEqual(['new b 2', 'new c 4']);
  });

  it('quiet hours and pads: what needs the kit is not on the pad', () => {
    const works = [work('pad'), work('kit', { needsKit: true })];
    const schedule = everyDay({ minutes: 40, at: '19:40', quiet: { from: '20:00', to: '07:00' } });
    expect(firstDay(planning({ works, schedule }))).toEqual(['new kit 3', 'new pad 4 pad']);
  });

  it('few minutes cut a try to half at the least, and only once', () => {
    const of = (minutes: number) =>
      firstDay(planning({ works: three, schedule: everyDay({ minutes }) }));
    expect(of(5)).toEqual(['new a 1']);
    expect(of(3)).toEqual(['new a 1']);
    expect(of(2)).toEqual([]);
    const [day] = planDays(planning({ works: three, schedule: everyDay({ minutes: 3 }) })).days;
    expect(day?.entries[0]).toMatchObject({ cutTo: 3, playSeconds: 180, seconds: 180 });
  });

  it('an hour has a break', () => {
    const works = [work('a'), work('b'), work('c'), work('d')];
    expect(firstDay(planning({ works, schedule: everyDay({ minutes: 65 }) }))).toEqual(
      ['new a 3', 'new b 2', 'break  1', 'new b 1', 'new c 3', 'new d 2'].map((line) =>
        line.replace('  1', ''),
      ),
    );
  });

  it('what was done today is taken off, minutes and tries', () => {
    const done = {
      ...BEGINNING,
      clean: 1,
      lastDay: dayNumber(TODAY),
      today: { tries: 1, seconds: 320 },
    };
    const states = [done, BEGINNING, BEGINNING];
    expect(firstDay(planning({ works: three, states }))).toEqual(['new a 1', 'new b 2', 'new c 2']);
  });

  it('a missed day is simply not there: the next one begins with the same', () => {
    const of = planning({ works: three });
    expect(told(of, planDays({ ...of, today: '2026-03-04' }).days[0])).toEqual(firstDay(of));
  });

  it('expects the target after the tries that the pace asks for, and then keeps it warm', () => {
    // 3 clean in a row at 75 % each: (1 − p³) / ((1 − p) p³) = 5.48 tries a rung, 28 for five; alone it
    // gets two sets of 3 a day, cut to five by the minutes.
    const plan = planDays(planning({ works: [work('a')] }));
    expect(plan.reached).toEqual(['2026-03-07']);
    const later = plan.days.filter((day) => day.day > '2026-03-07' && day.entries.length > 0);
    expect(later.map((day) => day.day)).toEqual(['2026-03-09', '2026-03-13', '2026-03-21']);
  });

  it('what does not fit is said, with what to drop', () => {
    const target = '2026-03-07';
    const works = [work('a'), work('b'), work('c', { needsKit: true }), work('d')];
    const schedule = everyDay({ minutes: 60, on: 'pad' }, { target });
    const late = planning({ works, schedule });
    const says = findUnfit(late, planDays(late)).map((one) => sayUnfit(ENGLISH, one, works));
    expect(says).toEqual([
      'c needs the kit, and no day has one. Set a day to kit, or leave it out.',
      'Not by 7 Mar: b and d. Without d the others are.',
    ]);
    const sooner = { ...late, schedule: { ...schedule, target: '2026-03-03' } };
    const [, hopeless] = findUnfit(sooner, planDays(sooner));
    expect(hopeless).toMatchObject({ kind: 'late', works: [0, 1, 3], drop: [] });
    expect(hopeless && sayUnfit(ENGLISH, hopeless, works)).toBe(
      'Not by 3 Mar: a, b and d. Drop them, add minutes or days, or set a later date.',
    );
    const longer = planning({ works: [work('e', { trySeconds: [3700], cuts: false })] });
    expect(findUnfit(longer, planDays(longer)).map((one) => one.kind)).toEqual(['too-long']);
  });
});

/** The index of the first date on which two plans differ; their length when they do not. */
function firstDifference(a: Plan, b: Plan): number {
  const found = a.days.findIndex(
    (day, index) => JSON.stringify(day) !== JSON.stringify(b.days[index]),
  );
  return found < 0 ? a.days.length : found;
}

describe('plans, whatever is planned', () => {
  it('never exceed the minutes of a day, nor of a stretch', () => {
    fc.assert(
      fc.property(anyPlanning, (any) => {
        for (const day of planDays(any).days) {
          expect(day.seconds).toBeLessThanOrEqual(60 * day.hours.minutes);
          const sums = { kit: 0, pad: 0 };
          for (const entry of day.entries) sums[entry.on] += entry.seconds;
          const has = { kit: 0, pad: 0 };
          for (const one of stretchesOf(day.hours)) has[one.on] += one.seconds;
          expect(sums.kit).toBeLessThanOrEqual(has.kit);
          expect(sums.pad).toBeLessThanOrEqual(has.pad);
        }
      }),
    );
  });

  it('obey quiet hours minute by minute, and keep what needs the kit off the pad', () => {
    fc.assert(
      fc.property(anyPlanning, (any) => {
        for (const { entries, hours } of planDays(any).days) {
          const [hour = 0, minute = 0] = hours.at.split(':').map(Number);
          const from = hour * 60 + minute;
          let at = 0;
          let stretch = 0;
          const stretches = stretchesOf(hours);
          for (const entry of entries) {
            if (entry.on === 'pad' && entry.work >= 0) {
              expect(any.works[entry.work]?.needsKit).toBe(false);
            }
            let ends = stretches.slice(0, stretch + 1).reduce((sum, one) => sum + one.seconds, 0);
            while (stretches[stretch]?.on !== entry.on || at + entry.seconds > ends) {
              at = Math.max(at, ends);
              stretch += 1;
              expect(stretch).toBeLessThan(stretches.length);
              ends += stretches[stretch]?.seconds ?? 0;
            }
            const plays = at + entry.playSeconds;
            if (entry.on === 'kit' && hours.quiet && entry.kind !== 'break') {
              for (let second = at; second < plays; second += 15) {
                expect(isQuietAt((from + second / 60) % 1440, hours.quiet)).toBe(false);
              }
            }
            at += entry.seconds;
          }
        }
      }),
    );
  });

  it('nothing begins before what it waits for is reached', () => {
    fc.assert(
      fc.property(anyPlanning, (any) => {
        const { reached, begun } = planDays(any);
        any.works.forEach((one, index) => {
          for (const first of one.after) {
            if (begun[index] == null || any.states[first]?.passed || any.states[index]?.passed)
              continue;
            expect(reached[first]).not.toBeNull();
            // On the same day at the earliest.
            expect((reached[first] ?? '9') <= (begun[index] ?? '')).toBe(true);
          }
        });
      }),
    );
  });

  it('are the same when planned again', () => {
    fc.assert(
      fc.property(anyPlanning, (any) => {
        expect(planDays(any)).toEqual(planDays(any));
      }),
    );
  });

  it('other hours on a date move nothing before it; a date without a change of hours moves nothing', () => {
    fc.assert(
      fc.property(anyPlanning, fc.nat({ max: 27 }), fc.nat({ max: 60 }), (any, at, minutes) => {
        const before = planDays(any);
        const day = before.days[at]?.day ?? TODAY;
        const own = { ...hoursOn(any.schedule, day), minutes };
        const changed = { ...any, schedule: withDay(any.schedule, day, own) };
        expect(firstDifference(before, planDays(changed))).toBeGreaterThanOrEqual(at);
        const same = withDay(any.schedule, day, hoursOn(any.schedule, day));
        expect(firstDifference(before, planDays({ ...any, schedule: same }))).toBe(28);
      }),
    );
  });

  it('a session that is moved touches nothing before the earlier of its two dates', () => {
    fc.assert(
      fc.property(anyPlanning, fc.nat({ max: 27 }), fc.nat({ max: 27 }), (any, a, b) => {
        const before = planDays(any);
        const [from, to] = [before.days[a]?.day ?? TODAY, before.days[b]?.day ?? TODAY];
        const schedule = must(moveSession(any.schedule, from, to, TODAY));
        const after = planDays({ ...any, schedule });
        expect(firstDifference(before, after)).toBeGreaterThanOrEqual(Math.min(a, b));
      }),
    );
  });

  it('a work that is added at the end and waits comes only when what it waits for is reached', () => {
    fc.assert(
      fc.property(anyPlanning, (any) => {
        const schedule = { ...any.schedule, order: 'blocked' as const };
        const fresh = { ...any, schedule, states: any.works.map(() => BEGINNING) };
        const works = [...fresh.works, work('last', { after: [0] })];
        const more = { ...fresh, works, states: [...fresh.states, BEGINNING] };
        const after = planDays(more);
        const begun = after.begun[more.works.length - 1] ?? null;
        if (begun !== null) expect(begun >= (after.reached[0] ?? '9')).toBe(true);
      }),
    );
  });
});

/** Said anew, by the clock: from `from` up to `to`, over midnight where it ends before it begins. */
function isQuietAt(minute: number, quiet: { from: string; to: string }): boolean {
  const clock = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(Math.floor(minute % 60)).padStart(2, '0')}`;
  if (quiet.from <= quiet.to) return clock >= quiet.from && clock < quiet.to;
  return clock >= quiet.from || clock < quiet.to;
}

describe('what there is time for now', () => {
  it('is what matters most: what is stuck, then what was not clean last time, then what goes well', () => {
    const going = { ...BEGINNING, rung: 1, best: 1 };
    const on = (day: number, own: object) => ({
      ...going,
      lastDay: dayNumber(TODAY) - day,
      ...own,
    });
    const states = [
      on(9, { clean: 1 }),
      on(1, { clean: 0, spotless: false }),
      on(1, { form: 'simpler' as const, clean: 1, spotless: false }),
    ];
    const works = ['well', 'shaky', 'stuck'].map((id) => work(id));
    const asked = planning({ works, states });
    const orderOf = (entries: ReturnType<typeof planToday>) => [
      ...new Set(entries.filter(({ kind }) => kind !== 'break').map((entry) => entry.work)),
    ];
    const cut = (minutes: number) => orderOf(planToday(asked, { minutes, on: 'kit', at: '10:00' }));
    expect(cut(10)).toEqual([2]);
    expect(cut(20)).toEqual([2, 1]);
    expect(cut(40)).toEqual([2, 1, 0]);
  });
});
