import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { letterOf } from '../kit';
import { blankRecipe, expand, startOf, type ClosedRecipe } from '../recipe';

type As = Extract<ClosedRecipe['as'], { kind: 'phrase-cells' }>;

const as = startOf('phrase-cells') as As;

/** A bar of cells: letters by 16th, small where they are ghosted. */
function played(places?: As['places']): string {
  const recipe = {
    ...blankRecipe(),
    play: { content: { text: '4. 4 8 4' } },
    as: { ...as, ...(places && { places }) },
  };
  const { strokes } = must(expand(recipe));
  return strokes
    .map(({ limb, dynamic }) =>
      dynamic === 'ghost' ? letterOf(limb).toLowerCase() : letterOf(limb),
    )
    .join('');
}

describe('cells place by place', () => {
  it('are as for all where nothing else is said', () => {
    expect(played()).toBe('RllKKlRllKRlRllK');
  });

  it('take another cell in one place and not in the other of that length', () => {
    expect(played({ '1': { cell: 'RLKK' } })).toBe('RllKKlRlKKRlRllK');
  });

  it('take a last accent in one place', () => {
    expect(played({ '0': { accentLast: true } })).toBe('RllKKLRllKRlRllK');
  });

  it('leave a cell alone that is not as long as the gap there', () => {
    expect(played({ '1': { cell: 'RL' } })).toBe(played());
  });
});
