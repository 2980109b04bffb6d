import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import {
  checkSchedule,
  datesFrom,
  hoursOn,
  moveSession,
  stretchesOf,
  USUAL_SCHEDULE,
  withDay,
  type Schedule,
} from '.';
import { anySchedule, everyDay, TODAY } from './plan.fixture';

const codes = (schedule: Schedule) => {
  const checked = checkSchedule(schedule, TODAY);
  return checked.ok ? [] : checked.issues.map((issue) => issue.code);
};

describe('checkSchedule', () => {
  it('takes the usual one', () => {
    expect(checkSchedule(USUAL_SCHEDULE, TODAY)).toEqual({ ok: true, value: USUAL_SCHEDULE });
  });

  it('names zero minutes, overlapping dates, a target that has passed, all at once', () => {
    expect(codes(everyDay({ minutes: 0 }, { target: '2026-03-01' }))).toEqual([
      'week-empty',
      'target-past',
    ]);
    const off = [
      { from: '2026-04-06', to: '2026-04-10' },
      { from: '2026-04-01', to: '2026-04-06' },
      { from: '2026-05-02', to: '2026-05-01' },
    ];
    expect(codes({ ...USUAL_SCHEDULE, off })).toEqual(['off-overlap', 'off-order']);
    expect(codes(everyDay({ quiet: { from: '20:00', to: '20:00' } }))).toContain('quiet-empty');
  });

  it('a target that has passed since is in nobody’s way', () => {
    const past = { ...USUAL_SCHEDULE, target: '2026-02-20' };
    expect(checkSchedule(past, TODAY, '2026-02-20')).toMatchObject({ ok: true });
    expect(checkSchedule(past, TODAY, '2026-02-19')).toMatchObject({ ok: false });
  });

  it('takes today as a target, and dates off that meet', () => {
    const off = [
      { from: '2026-04-01', to: '2026-04-05' },
      { from: '2026-04-06', to: '2026-04-06' },
    ];
    expect(codes({ ...USUAL_SCHEDULE, off, target: TODAY })).toEqual([]);
  });
});

describe('hoursOn', () => {
  const schedule = {
    ...everyDay({ minutes: 30 }),
    off: [{ from: '2026-03-28', to: '2026-03-30' }],
    days: { '2026-03-29': { ...USUAL_SCHEDULE.week.Sun, minutes: 10 } },
  };

  it('a single day goes before dates off, and these before the week, over a change of the clock', () => {
    const minutes = datesFrom('2026-03-27', 5).map((day) => hoursOn(schedule, day).minutes);
    expect(minutes).toEqual([30, 0, 10, 0, 30]);
  });
});

describe('moveSession', () => {
  const schedule = { ...everyDay({}), week: { ...everyDay({}).week } };
  schedule.week.Tue = { ...schedule.week.Tue, minutes: 45, on: 'pad' };
  schedule.week.Wed = { ...schedule.week.Wed, minutes: 0 };

  it('two dates change places, and back again leaves nothing behind', () => {
    const moved = must(moveSession(schedule, '2026-03-03', '2026-03-04', TODAY));
    expect(hoursOn(moved, '2026-03-03').minutes).toBe(0);
    expect(hoursOn(moved, '2026-03-04')).toMatchObject({ minutes: 45, on: 'pad' });
    expect(must(moveSession(moved, '2026-03-04', '2026-03-03', TODAY)).days).toEqual({});
  });

  it('what has passed stays', () => {
    expect(moveSession(schedule, '2026-03-01', '2026-03-04', TODAY)).toMatchObject({
      issues: [{ code: 'day-past', day: '2026-03-01' }],
    });
  });

  it('no minutes are won or lost, and no other date changes', () => {
    const offset = fc.nat({ max: 20 });
    fc.assert(
      fc.property(anySchedule, offset, offset, (any, a, b) => {
        const dates = datesFrom(TODAY, 21);
        const [from, to] = [dates[a] ?? TODAY, dates[b] ?? TODAY];
        const moved = must(moveSession(any, from, to, TODAY));
        const sum = (of: Schedule) => dates.reduce((all, day) => all + hoursOn(of, day).minutes, 0);
        expect(sum(moved)).toBe(sum(any));
        for (const day of dates) {
          if (day !== from && day !== to) expect(hoursOn(moved, day)).toEqual(hoursOn(any, day));
        }
      }),
    );
  });
});

describe('withDay', () => {
  it('keeps no hours that the date would have anyway', () => {
    expect(withDay(USUAL_SCHEDULE, TODAY, USUAL_SCHEDULE.week.Mon).days).toEqual({});
  });
});

describe('stretchesOf', () => {
  const hours = { minutes: 45, on: 'kit', at: '19:30', quiet: { from: '20:00', to: '08:00' } };

  it.each([
    [hours, ['kit 30', 'pad 15']],
    [{ ...hours, at: '07:30' }, ['pad 30', 'kit 15']],
    [{ ...hours, at: '23:40' }, ['pad 45']],
    [{ ...hours, quiet: { from: '19:45', to: '20:00' } }, ['kit 15', 'pad 15', 'kit 15']],
    [{ ...hours, quiet: null }, ['kit 45']],
    [{ ...hours, on: 'pad' }, ['pad 45']],
    [{ ...hours, minutes: 0 }, []],
  ] as const)('%j', (given, expected) => {
    const found = stretchesOf(given as Parameters<typeof stretchesOf>[0]);
    expect(found.map(({ on, seconds }) => `${on} ${seconds / 60}`)).toEqual(expected);
  });
});
