import { describe, expect, it } from 'vitest';
import { ENGLISH, sayGaveWay } from '@/words';
import { must } from '../issue';
import { typedSticking } from '../sticking';
import { blankRecipe, expand, laneOver, overThese, withParts, type ClosedRecipe } from '.';

const open = laneOver('O: -------x', {
  ...{ limb: 'LH', voice: 'hat-open', slot: '8', grid: '-------x' },
});
const openOver: ClosedRecipe = {
  ...overThese('rock-8ths'),
  over: [...overThese('rock-8ths').over, open],
};
const gone = (recipe: ClosedRecipe) => must(expand(recipe)).gaveWay;

describe('what gives way', () => {
  it('a closed stroke under an open one, counted and said', () => {
    expect(gone(openOver)).toEqual([{ voice: 'hat', count: 1 }]);
    expect(sayGaveWay(ENGLISH, gone(openOver))).toBe('1 closed hi-hat stroke gives way');
    expect(gone(overThese('rock-8ths'))).toEqual([]);
  });

  it('what another part has where a grace note is opened; the ornament itself is not gone', () => {
    const flam = typedSticking('fR--- ---- ---- ----');
    const recipe: ClosedRecipe = {
      ...overThese('one-hand-16ths'),
      over: [laneOver('LH 16ths', { limb: 'LH', voice: 'hat', slot: '16', grid: 'x'.repeat(16) })],
      play: { content: flam },
      changes: [{ kind: 'open-graces', slot: '16' }],
    };
    expect(gone(recipe)).toEqual([{ voice: 'hat', count: 1 }]);
    expect(gone({ ...blankRecipe(), play: { content: flam }, changes: recipe.changes })).toEqual(
      [],
    );
  });

  it('a sequence adds up what its parts lose', () => {
    const { then: _, ...recipe } = openOver;
    const part = (name: string) => ({ name, bars: 1, untimed: false, recipe });
    expect(gone(withParts([part('one'), part('two')]))).toEqual([{ voice: 'hat', count: 2 }]);
  });
});
