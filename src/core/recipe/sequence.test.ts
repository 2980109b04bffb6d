import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue, sayPartOfCycle, sayPlaceIn } from '@/words';
import { must } from '../issue';
import { quarters } from '../time';
import { blankRecipe, expand, toggleOstinato, type ClosedMember, type ClosedRecipe } from '.';

const groove = toggleOstinato(blankRecipe(), 'rock-8ths');

/** Bass drum on every third 16th: three bars until it comes round. */
const overBar: ClosedMember = {
  ...blankRecipe(),
  changes: [{ kind: 'place', to: { limb: 'RF', voice: 'bass' }, slot: '16', grid: 'x--' }],
};

function then(...members: [ClosedMember, number | null][]): NonNullable<ClosedRecipe['then']> {
  return {
    bars: 1,
    members: members.map(([recipe, bars], index) => ({ name: `part ${index + 1}`, bars, recipe })),
  };
}

describe('a sequence', () => {
  it('plays its members back to back, each for its bars', () => {
    const exercise = must(expand({ ...groove, then: then([overBar, null], [groove, 2]) }));
    expect(exercise.members).toEqual([
      { name: '', fromBar: 0, bars: 1, cycleBars: 1, untimed: false },
      { name: 'part 1', fromBar: 1, bars: 3, cycleBars: 3, untimed: false },
      { name: 'part 2', fromBar: 4, bars: 2, cycleBars: 1, untimed: false },
    ]);
    expect(exercise.bars).toBe(6);
    const alone = must(expand(groove)).strokes.length;
    expect(exercise.strokes).toHaveLength(3 * alone + 16);
  });

  it('leaves a member’s own strokes as they are, only later', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 1, max: 7 }),
        (before, bars) => {
          const run = { ...then([overBar, bars]), bars: before };
          const exercise = must(expand({ ...groove, then: run }));
          const start = before * exercise.barTicks;
          const mine = exercise.strokes
            .filter((one) => one.at >= start)
            .map((one) => one.at - start);
          const all = Math.ceil((bars * quarters(4)) / quarters(3, 4));
          expect(mine).toEqual(Array.from({ length: all }, (_, index) => index * quarters(3, 4)));
          expect(exercise.cycleTicks).toBe((before + bars) * exercise.barTicks);
        },
      ),
    );
  });

  it('refuses a member of another meter, saying which', () => {
    const waltz = { ...toggleOstinato({ ...blankRecipe(), meter: '3/4' }, 'waltz') };
    const made = expand({ ...groove, then: then([waltz, null]) });
    expect(made.ok ? [] : made.issues.map((one) => one.code)).toContain('member-meter');
    expect(made.ok ? '' : made.issues.map((one) => sayIssue(ENGLISH, one)).join(' ')).toMatch(
      /part 1.*3\/4.*4\/4/,
    );
  });

  it('names the issues of a member by its place', () => {
    const empty = { ...blankRecipe(), over: [] };
    const made = expand({ ...groove, then: then([groove, 1], [empty, 1]) });
    expect(made.ok ? null : made.issues[0]?.path).toEqual(['then', 'members', 1]);
  });
});

describe('sayPartOfCycle', () => {
  it.each([
    [3, 4, 'bars 1 to 3 of its cycle of 4'],
    [1, 4, 'bar 1 of its cycle of 4'],
    [9, 4, '2 times and bar 1 of its cycle of 4'],
    [8, 4, ''],
    [4, 1, ''],
  ])('%i bars of a cycle of %i: “%s”', (bars, cycleBars, says) => {
    expect(sayPartOfCycle(ENGLISH, { bars, cycleBars })).toBe(says);
  });
});

describe('a place', () => {
  it('names the bar only where there are several', () => {
    const one = must(expand(groove));
    const two = must(expand({ ...groove, then: then([groove, 1]) }));
    expect(sayPlaceIn(ENGLISH, quarters(5, 2), one)).toBe('& of 3');
    expect(sayPlaceIn(ENGLISH, quarters(13, 2), two)).toBe('2: & of 3');
  });
});
