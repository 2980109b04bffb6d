import { describe, expect, it } from 'vitest';
import { keptOf } from './retention';

const DAY = 86_400_000;
const at = (text: string) => Date.parse(`${text}Z`);
const said = (kept: readonly number[]) =>
  kept.map((one) => new Date(one).toISOString().slice(0, 13));

describe('keptOf', () => {
  it('of one day the latest stays', () => {
    const all = ['2026-03-02T08:00', '2026-03-02T20:00', '2026-03-02T12:00'].map(at);
    expect(said(keptOf(all))).toEqual(['2026-03-02T20']);
    expect(keptOf([])).toEqual([]);
  });

  it('of two years of daily backups seven days, four weeks and twelve months stay, counted by hand', () => {
    const last = at('2026-03-04T12:00');
    const kept = keptOf(Array.from({ length: 730 }, (_, back) => last - back * DAY));
    expect(said(kept)).toEqual([
      ...['2026-03-04T12', '2026-03-03T12', '2026-03-02T12', '2026-03-01T12'],
      ...['2026-02-28T12', '2026-02-27T12', '2026-02-26T12'],
      // Sundays: the 1st of March stands above.
      ...['2026-02-22T12', '2026-02-15T12'],
      // Ends of months: February's stands above.
      ...['2026-01-31T12', '2025-12-31T12', '2025-11-30T12', '2025-10-31T12', '2025-09-30T12'],
      ...['2025-08-31T12', '2025-07-31T12', '2025-06-30T12', '2025-05-31T12', '2025-04-30T12'],
    ]);
  });

  it('days without a backup count for nothing', () => {
    const all = Array.from({ length: 10 }, (_, nth) => at('2026-03-04T12:00') - nth * 40 * DAY);
    expect(keptOf(all)).toEqual(all);
  });
});
