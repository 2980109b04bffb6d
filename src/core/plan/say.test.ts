import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LadderEvent } from '../log';
import { followEvent, NO_FACTS, startFollowing, USUAL_COURSE } from '../ladder';
import { climbed, sayHelp, sayUnfit, wayDone, type Climbed, type Help, type Unfit } from '.';

const WORKS = ['Clave', 'Cells', 'Ride', 'Feet', 'Samba', 'Flams'].map((name) => ({ name }));

describe('sayUnfit', () => {
  const cases: readonly (readonly [Unfit, string])[] = [
    [
      { kind: 'no-kit', works: [0, 1] },
      'Clave and Cells need the kit, and no day has one. Set a day to kit, or leave it out.',
    ],
    [
      { kind: 'too-long', work: 2, needs: 1510, has: 1200 },
      'Ride: one try takes 26 min at least, the longest stretch is 20 min. Give it a shorter dosage, or a day more minutes.',
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
    expect(sayUnfit(unfit, WORKS)).toBe(text);
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
    expect(sayHelp(help, WORKS)).toBe(text);
  });
});

describe('the way done', () => {
  const tries = (days: readonly string[]): readonly LadderEvent[] =>
    days.map((day, index) => {
      const said = { rung: null, suffered: [], broke: [] };
      const bpm = 60 + 5 * Math.floor(index / 3);
      return { kind: 'try', id: String(index), day, bpm, verdict: 'clean', ...said };
    });

  it('knows the rungs that were won by the end of each date', () => {
    const following = { course: USUAL_COURSE, facts: NO_FACTS };
    const way: Climbed[] = [];
    const followed = startFollowing(following);
    const log = tries(['2026-03-01', '2026-03-01', '2026-03-01', '2026-03-03', '2026-03-04']);
    for (const one of log) {
      followEvent(followed, one, following);
      climbed(way, one.day, followed.state);
    }
    expect(way).toEqual([
      { day: '2026-03-01', rungs: 1 },
      { day: '2026-03-03', rungs: 1 },
      { day: '2026-03-04', rungs: 1 },
    ]);
    const other = { rungs: 1, way: [{ day: '2026-03-02', rungs: 1 }] };
    expect(wayDone([{ way, rungs: 9 }, other])).toEqual([
      { day: '2026-03-01', share: 0.1 },
      { day: '2026-03-02', share: 0.2 },
      { day: '2026-03-03', share: 0.2 },
      { day: '2026-03-04', share: 0.2 },
    ]);
  });

  it('lies between nothing and all of it', () => {
    const day = fc
      .integer({ min: 1, max: 28 })
      .map((nth) => `2026-02-${String(nth).padStart(2, '0')}`);
    const way = fc.array(fc.record({ day, rungs: fc.nat({ max: 5 }) }), { maxLength: 8 });
    fc.assert(
      fc.property(fc.array(way, { maxLength: 5 }), (ways) => {
        const items = ways.map((one) => ({
          rungs: 5,
          way: [...one].sort((a, b) => (a.day < b.day ? -1 : 1)),
        }));
        for (const { share } of wayDone(items)) {
          expect(share).toBeGreaterThanOrEqual(0);
          expect(share).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});
