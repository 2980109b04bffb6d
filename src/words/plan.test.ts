import { describe, expect, it } from 'vitest';
import type { Help, Unfit } from '@/core/plan';
import { ENGLISH, sayDate, sayHelp, sayMissed, sayRange, sayUnfit, sayWeekdayName } from '.';

const WORKS = ['Clave', 'Cells', 'Ride', 'Feet', 'Samba', 'Flams'].map((name) => ({ name }));

describe('sayUnfit', () => {
  const cases: readonly (readonly [Unfit, string])[] = [
    [
      { kind: 'no-kit', works: [0, 1] },
      'Clave and Cells need the kit, and no day has one. Set a day to kit, or leave it out.',
    ],
    [
      { kind: 'too-long', work: 2, needs: 1510, has: 1200 },
      'Ride: one try takes at least 26 min, and the longest stretch is 20 min. Give it a shorter dosage, or a day more minutes.',
    ],
    [
      { kind: 'late', works: [1, 2, 3], target: '2026-12-24', drop: [3] },
      'Not by 24 Dec: Cells, Ride and Feet. Without Feet the others are.',
    ],
    [
      { kind: 'late', works: [1], target: '2026-12-24', drop: [] },
      'Not by 24 Dec: Cells. Drop it, add minutes or days, or set a later date.',
    ],
    [
      { kind: 'not-begun', works: [0, 1, 2, 3, 4, 5], weeks: 12 },
      'Not begun within 12 weeks: Clave, Cells, Ride, Feet and 2 more. Add minutes, or drop what can wait.',
    ],
  ];

  it.each(cases)('%j', (unfit, text) => {
    expect(sayUnfit(ENGLISH, unfit, WORKS)).toBe(text);
  });
});

describe('sayHelp', () => {
  const of = { days: 5, reached: '2026-12-20' };
  const cases: readonly (readonly [Help, string])[] = [
    [{ kind: 'day', weekday: 'Wed', minutes: 20, ...of }, '20 min on Wed too: 5 days earlier'],
    [{ kind: 'minutes', more: 10, ...of, days: 15 }, '10 min more a day: 2 weeks earlier'],
    [{ kind: 'keeps', ...of, days: null }, 'Every planned day kept: reached by 20 Dec'],
    [{ kind: 'fewer', work: 1, ...of }, 'Without Cells: 5 days earlier'],
    [{ kind: 'smaller-step', work: 2, ...of }, 'Half the step for Ride: 5 days earlier'],
  ];

  it.each(cases)('%j', (help, text) => {
    expect(sayHelp(ENGLISH, help, WORKS)).toBe(text);
  });
});

describe('sayRange', () => {
  it('says from when to when', () => {
    const said = (early: string | null, middle: string | null, late: string | null) =>
      sayRange(ENGLISH, { early, middle, late }, '2026-03-01');
    expect(said(null, null, null)).toBe('not within half a year');
    expect(said('2026-03-01', '2026-03-01', '2026-03-01')).toBe('today');
    expect(said('2026-03-10', '2026-03-20', '2026-04-01')).toBe('10 Mar to 1 Apr');
    // An open end shows its middle, where it has one.
    expect(said('2026-03-10', '2026-05-02', null)).toBe('10 Mar or later, in the middle 2 May');
    expect(said('2026-03-10', null, null)).toBe('10 Mar or later, mostly after half a year');
  });
});

describe('dates', () => {
  it('have their weekday; many that were missed are counted', () => {
    expect(sayDate(ENGLISH, '2026-03-02')).toBe('Mon 2 Mar');
    expect(sayWeekdayName(ENGLISH, 'Sun')).toBe('Sun');
    expect(sayMissed(ENGLISH, ['2026-03-02'])).toBe('Missed: Mon 2 Mar. Rescheduled from today.');
    expect(sayMissed(ENGLISH, ['2026-03-02', '2026-03-03', '2026-03-04', '2026-03-05'])).toBe(
      'Missed: 4 days since Mon 2 Mar. Rescheduled from today.',
    );
  });
});
