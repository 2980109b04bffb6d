import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { eventsBetween, scoreOf } from '../playing';
import { typedSticking } from '../sticking';
import { blankRecipe, expand, partsOf, readRecipe, recipeHash, withParts, type Part } from '.';

function part(name: string, sticking: string, more: Partial<Part> = {}): Part {
  const { then: _, ...recipe } = { ...blankRecipe(), play: { content: typedSticking(sticking) } };
  return { name, bars: null, untimed: false, recipe, ...more };
}

const BAR = 'RLRRLRLLRLRRLRLL';
const solo = withParts([
  part('opening', 'RLRLRL', { untimed: true }),
  part('call', BAR),
  part('answer', 'LRLLRLRRLRLLRLRR'),
]);

describe('parts', () => {
  it('are written back as they were read, and survive being stored', () => {
    expect(withParts(partsOf(solo))).toEqual(solo);
    expect(must(readRecipe(JSON.parse(JSON.stringify(solo))))).toEqual(solo);
    const [first] = partsOf(solo);
    expect(withParts([first])).toEqual(first.recipe);
  });

  it('of a sequence from before are those that it had', () => {
    const [, call] = partsOf(solo);
    const { untimed: _, ...member } = call ?? part('', BAR);
    const old = { ...part('', BAR).recipe, then: { bars: null, members: [member] } };
    expect(withParts(partsOf(old))).toEqual(old);
    expect(recipeHash(withParts(partsOf(old)))).toBe(recipeHash(old));
  });

  it('have their names and bars in the exercise', () => {
    const { members, bars } = must(expand(solo));
    expect(members.map(({ name, fromBar, untimed }) => [name, fromBar, untimed])).toEqual([
      ['opening', 0, true],
      ['call', 1, false],
      ['answer', 2, false],
    ]);
    expect(bars).toBe(3);
  });

  it('that are untimed are played once, at their own length, and have no click', () => {
    const exercise = must(expand(solo));
    expect(exercise.strokes.filter(({ at }) => at < exercise.barTicks)).toHaveLength(6);
    const events = eventsBetween(scoreOf(exercise, { countInBars: 0 }), 0, exercise.cycleTicks);
    const clicks = events
      .filter(({ kind }) => kind === 'click')
      .map(({ at }) => at / exercise.barTicks);
    expect(clicks).toEqual([1, 1.25, 1.5, 1.75, 2, 2.25, 2.5, 2.75]);
  });

  it('timed or not are other exercises, named otherwise the same', () => {
    const [first, ...others] = partsOf(solo);
    expect(recipeHash(withParts([{ ...first, untimed: false }, ...others]))).not.toBe(
      recipeHash(solo),
    );
    expect(recipeHash(withParts([{ ...first, name: 'intro' }, ...others]))).toBe(recipeHash(solo));
  });
});
