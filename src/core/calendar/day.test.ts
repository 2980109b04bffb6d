import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clockOf, dayOf, daysAfter, daysBetween, instantOf, weekdayOf } from '.';

describe('days', () => {
  it('are those of the zone', () => {
    const late = Date.UTC(2026, 0, 1, 23, 30);
    expect(dayOf(late, 'Europe/Lisbon')).toBe('2026-01-01');
    expect(dayOf(late, 'Pacific/Auckland')).toBe('2026-01-02');
  });

  it('are counted over leap days and changes of the clock', () => {
    expect(daysAfter('2028-02-28', 2)).toBe('2028-03-01');
    expect(daysAfter('2026-03-28', 2)).toBe('2026-03-30');
    expect(weekdayOf('2026-03-01')).toBe('Sun');
    expect(weekdayOf('2026-03-02')).toBe('Mon');
  });

  it('have a time of day, also over a change of the clock', () => {
    const before = Date.UTC(2026, 2, 29, 0, 30);
    expect(clockOf(before, 'Europe/Lisbon')).toBe('00:30');
    expect(clockOf(before + 3600_000, 'Europe/Lisbon')).toBe('02:30');
    expect(clockOf(Date.UTC(2026, 0, 1), 'Europe/Lisbon')).toBe('00:00');
  });

  it('and a time are an instant: clocks show them then', () => {
    expect(instantOf('2026-03-29', '18:30', 'Europe/Lisbon')).toBe(Date.UTC(2026, 2, 29, 17, 30));
    const minutes = fc.integer({ min: 29_000_000, max: 31_000_000 });
    const zones = fc.constantFrom('Europe/Lisbon', 'Asia/Kolkata', 'Pacific/Chatham', 'UTC');
    fc.assert(
      fc.property(minutes, zones, (minute, zone) => {
        const shown = (at: number) => [dayOf(at, zone), clockOf(at, zone)] as const;
        const meant = shown(minute * 60_000);
        expect(shown(instantOf(...meant, zone))).toEqual(meant);
      }),
      { seed: 3 },
    );
  });

  it('so many after, and so many between, agree', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 3000 }), (count) => {
        expect(daysBetween('2026-03-01', daysAfter('2026-03-01', count))).toBe(count);
      }),
    );
  });
});
