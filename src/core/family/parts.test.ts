import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { blankRecipe, expand, partsOf, withParts, type ClosedRecipe, type Part } from '../recipe';
import { typedSticking } from '../sticking';
import { bpm } from '../time';
import {
  familyOf,
  judgeFamily,
  memberAt,
  memberRecipe,
  openFamily,
  readFamily,
  runOf,
  toggleValue,
  valuesAt,
} from '.';

const sticking = (text: string) => ({ content: typedSticking(text) });

function part(name: string, text: string): Part {
  return { name, bars: 1, untimed: false, recipe: { ...blankRecipe(), play: sticking(text) } };
}

/** A call and an answer of a bar each. */
const solo: ClosedRecipe = withParts([part('call', 'RLRRLRLL'), part('answer', 'RRLLRRLL')]);

const letters = (recipe: ClosedRecipe) =>
  partsOf(recipe).map((one) => {
    const content = one.recipe.play?.content;
    return content && 'sticking' in content ? content.sticking : '';
  });

describe('a family of a sequence', () => {
  const second = { at: 'play', part: 1 } as const;
  const family = toggleValue(familyOf(solo), second, sticking('RLLRLLRL'));

  it('keeps all parts, and varies the one that is meant', () => {
    expect(valuesAt(family, second)).toHaveLength(2);
    expect(valuesAt(family, { at: 'play' })).toHaveLength(1);
    const opened = must(openFamily(family));
    expect(opened.size).toBe(2);
    expect([0, 1].map((index) => letters(memberRecipe(opened, memberAt(opened, index))))).toEqual([
      ['RLRRLRLL', 'RRLLRRLL'],
      ['RLRRLRLL', 'RLLRLLRL'],
    ]);
  });

  it('several parts make a product', () => {
    const both = toggleValue(family, { at: 'play' }, sticking('RLRLRLRL'));
    const opened = must(openFamily(both));
    expect(opened.size).toBe(4);
    const names = opened.axes.map((axis) => axis.name);
    expect(names).toEqual([
      { at: 'play', nth: 1 },
      { at: 'play', nth: 2 },
    ]);
    const { played } = judgeFamily(opened, bpm(80));
    expect(played.map((one) => one.bars)).toEqual([2, 2, 2, 2]);
  });

  it('one value alone goes into its part, and the others stay', () => {
    const one = toggleValue(family, second, sticking('RRLLRRLL'));
    expect(one.axes).toEqual([]);
    expect(letters(one.base)).toEqual(['RLRRLRLL', 'RLLRLLRL']);
  });

  it('is read back as it was stored', () => {
    expect(must(readFamily(JSON.parse(JSON.stringify(family))))).toEqual(family);
  });

  it('as a run, each part of each member follows, under its name', () => {
    const opened = must(openFamily(family));
    const members = [0, 1].map((index) => ({
      name: `take ${index + 1}`,
      recipe: memberRecipe(opened, memberAt(opened, index)),
    }));
    const run = runOf(members, 4);
    const exercise = must(expand(run ?? blankRecipe()));
    expect(exercise.bars).toBe(4);
    expect(exercise.members.map((one) => one.name)).toEqual([
      'take 1, call',
      'take 1, answer',
      'take 2, call',
      'take 2, answer',
    ]);
  });
});
