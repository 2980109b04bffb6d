import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LadderEvent } from '../log';
import { followEvent, NO_FACTS, startFollowing, USUAL_COURSE } from '../ladder';
import { climbed, wayDone, type Climbed } from '.';

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
