import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { typedSticking } from '@/core/sticking';
import { ENGLISH, sayIn, sayStaff } from '.';

describe('sayStaff', () => {
  it('says what each limb plays, counted', () => {
    const jazz = must(expand(toggleOstinato(blankRecipe(), 'jazz-ride')));
    expect(sayStaff(ENGLISH, jazz, [0])).toBe(
      'Bar 1: right hand 1 2 & 3 4 &; left foot 2 4. Said as one, right hand and left foot: R T R.',
    );
    const german = sayIn('en-GB', { notes: 'american', syllables: 'german' });
    expect(sayStaff(german, jazz, [0])).toContain('right hand 1 2 und 3 4 und');
  });

  it('says accents, ghosts and ornaments where they are', () => {
    const content = typedSticking('>RfLRL dRLRL RLRL RLRL');
    const flams = must(expand({ ...blankRecipe(), play: { content } }));
    const said = sayStaff(ENGLISH, flams, [0]);
    expect(said).toContain('right hand 1 & 2 & 3 & 4 & (accent on 1, drag on 2)');
    expect(said).toContain('left hand e a e a e a e a (flam on e)');
  });
});
