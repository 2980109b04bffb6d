import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { ofKind, SHIPPED } from '@/core/materials';
import { blankRecipe, expand, type ClosedRecipe } from '@/core/recipe';
import { typedSticking, type Sticking } from '@/core/sticking';
import { ENGLISH, saySentence } from '.';

function playing(sticking: Sticking): ClosedRecipe {
  return { ...blankRecipe(), play: { content: sticking } };
}

describe('the sentence of a sticking', () => {
  it.each([
    ['6: >RLRLRL', {}, 'in sextuplets', 'accents as marked'],
    ['(8: R L) (8t: RLR)', {}, 'in 8ths and 8th triplets', 'no accents'],
    ['RLRR', { accents: 'cells' }, 'in 16ths', 'each cell accented'],
    ['>RLRR', { accents: 'cells', soft: 'ghost' }, 'in 16ths', 'accents as marked, the rest ghost'],
    ['RLRR', { soft: 'ghost' }, 'in 16ths', 'no accents, all ghost'],
  ] as const)('%s %o', (text, more, grid, accents) => {
    const said = saySentence(ENGLISH, playing({ ...typedSticking(text), ...more }));
    expect(said).toContain(grid);
    expect(said).toContain(`; ${accents} · `);
  });

  it('says that nothing is accented where nothing is, for all that ship', () => {
    for (const { content } of ofKind(SHIPPED, 'sticking')) {
      const recipe = playing(content);
      const plays = must(expand(recipe)).strokes.some(({ dynamic }) => dynamic === 'accent');
      expect([content.sticking, saySentence(ENGLISH, recipe).includes('no accents')]).toEqual([
        content.sticking,
        !plays,
      ]);
    }
  });
});
