import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { must } from '../issue';
import { blankRecipe, expand, startOf, toggleOstinato } from '../recipe';
import { factsOf, replay, rungAt, startLadder, USUAL_COURSE, type Following } from '../ladder';
import type { LadderEvent, Posted, Verdict } from '../log';
import { makeId } from '../id';
import { fittedOf, NOTHING_PLAYED, onStand } from '../progress';
import { afterEntries, type StandItem } from '.';

const recipe = {
  ...toggleOstinato(blankRecipe(), 'hats-2-4'),
  play: { content: { text: '4. 4 8 4' } },
  as: startOf('phrase-cells'),
};
const DAY = '2026-03-02';
const following: Following = { course: USUAL_COURSE, facts: factsOf(must(expand(recipe)), recipe) };

function item(): StandItem {
  const state = startLadder(following);
  const fitted = fittedOf(recipe, null);
  const own = {
    id: makeId<'item'>(1, new Uint8Array(12)),
    kind: 'exercise' as const,
    exerciseId: makeId<'exercise'>(1, new Uint8Array(12)),
    hash: 'h',
    name: 'Cells',
    course: USUAL_COURSE,
    cues: [],
    place: 'derived' as const,
    after: [],
  };
  return {
    assignmentId: makeId<'assignment'>(1, new Uint8Array(12)),
    program: 'Autumn',
    section: '',
    item: own,
    whole: fitted.whole,
    state,
    recent: { late: [], lowest: [] },
    ...onStand(fitted, state, own, { cue: '', late: [] }),
    waitsFor: [],
    resting: false,
    today: NOTHING_PLAYED,
    cue: '',
  };
}

const told = fc.array(
  fc.record({
    verdict: fc.constantFrom<Verdict>('clean', 'clean', 'shaky', 'lost'),
    broke: fc.option(fc.nat({ max: 3 }), { nil: null }),
  }),
  { maxLength: 25 },
);

describe('afterEntries', () => {
  it('moves the ladder as the log will, in one go or bit by bit', () => {
    fc.assert(
      fc.property(told, fc.nat({ max: 25 }), (all, cut) => {
        const start = item();
        const log: LadderEvent[] = [];
        const entries: Posted[] = [];
        all.forEach(({ verdict, broke }, index) => {
          const state = replay(following, log);
          const { key, bpm } = rungAt(state.rungs, state.rung);
          const id = makeId<'entry'>(index, new Uint8Array(12));
          const said = {
            suffered: [],
            broke: broke === null || verdict === 'clean' ? [] : [broke],
          };
          log.push({ kind: 'try', id, day: DAY, bpm, rung: key, verdict, ...said });
          const body = { bpm, rung: key, verdict, bars: 8, seconds: 30 };
          const place = {
            assignmentId: start.assignmentId,
            itemId: start.item.id,
            sessionId: null,
          };
          entries.push({ kind: 'try', id, agoMs: 0, ...place, body });
          for (const beat of said.broke) {
            const of = makeId<'entry'>(1000 + index, new Uint8Array(12));
            entries.push({ kind: 'broke', id: of, agoMs: 0, about: id, body: { beat } });
          }
        });
        const moved = afterEntries(start, entries, DAY);
        expect(moved.state).toEqual(replay(following, log));
        expect(moved.today).toMatchObject({ tries: log.length, seconds: 30 * log.length });
        const tries = entries.flatMap((one, at) => (one.kind === 'try' ? [at] : []));
        const half = tries[cut] ?? entries.length;
        const first = afterEntries(start, entries.slice(0, half), DAY);
        expect(afterEntries(first, entries.slice(half), DAY).state).toEqual(moved.state);
      }),
      { numRuns: samples(60) },
    );
  });

  it('leaves an item alone that nothing is about', () => {
    const start = item();
    expect(afterEntries(start, [], DAY)).toBe(start);
  });
});
