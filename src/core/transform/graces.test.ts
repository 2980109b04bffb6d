import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { momentsOf } from '../analysis/instants';
import { must } from '../issue';
import { letterOf } from '../kit';
import { gracesOf, ORNAMENTS } from '../pattern';
import { blankRecipe, expand, toggleOstinato, type Change, type ClosedRecipe } from '../recipe';
import { typedSticking } from '../sticking';

/** The other 15 slots of a bar. */
const REST = '-'.repeat(15);

const opened: Change = { kind: 'open-graces', slot: '16' };

function play(sticking: string, changes: readonly Change[], over: ClosedRecipe = blankRecipe()) {
  const recipe = { ...over, play: { content: typedSticking(sticking) }, changes: [...changes] };
  return must(expand(recipe));
}

/** Hands on the snare by 16th. */
function snare(sticking: string, changes: readonly Change[], over?: ClosedRecipe): string[] {
  return play(sticking, changes, over).strokes.flatMap(({ at, limb, voice }) =>
    voice === 'snare' ? [`${at / 5040}${letterOf(limb)}`] : [],
  );
}

describe('opening grace notes', () => {
  it.each([
    ['fL', ['0L', '15R']],
    ['dL', ['0L', '14R', '15R']],
    ['uL', ['0L', '14L', '15R']],
    ['UL', ['0L', '13R', '14L', '15R']],
  ])('%s as 16ths is %j (common practice, no source)', (text, expected) => {
    expect(snare(text + REST, [opened])).toEqual(expected);
  });

  it('keeps their number over a groove: what a hand has there gives way', () => {
    const hats = toggleOstinato(blankRecipe(), 'rock-8ths');
    const over = { ...hats, clash: 'merge' } as const;
    const there = '--------UL-------';
    const graces = snare(there, [opened], over).filter((one) =>
      ['5R', '6L', '7R', '8L'].includes(one),
    );
    expect(graces).toEqual(['5R', '6L', '7R', '8L']);
    const { strokes } = play(there, [opened], over);
    for (const { at } of strokes) {
      const right = strokes.filter((one) => one.at === at && one.limb === 'RH');
      expect(right.length).toBeLessThanOrEqual(1);
    }
  });

  it('gives as many notes as the ornament has, whatever it is and wherever it lies', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          ...ORNAMENTS.filter((one) => gracesOf({ ornament: one, limb: 'LH' }).length > 0),
        ),
        fc.nat(15),
        (ornament, place) => {
          const mark = { flam: 'f', drag: 'd', ruff: 'u', ruff4: 'U' }[ornament as 'flam'];
          const text = `${'-'.repeat(place)}${mark}L${'-'.repeat(15 - place)}`;
          const graces = gracesOf({ ornament, limb: 'LH' }).length;
          expect(snare(text, [opened])).toHaveLength(graces + 1);
        },
      ),
    );
  });
});

describe('the width of grace notes', () => {
  const before = (ms?: number) =>
    momentsOf(play(`UL${REST}`, ms === undefined ? [] : [{ kind: 'grace-width', ms }])).flatMap(
      ({ ms: late }) => (late < 0 ? [late] : []),
    );

  it('is seen wherever movements are counted, one to the next', () => {
    expect(before(12).sort((a, b) => a - b)).toEqual([-36, -24, -12]);
    expect(before().sort((a, b) => a - b)).toEqual([-90, -60, -30]);
  });
});
