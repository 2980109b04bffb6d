import { describe, expect, it } from 'vitest';
import { FULL_KIT, type Handedness } from '../kit';
import { typedSticking } from '../sticking';
import { asPlayed, blankRecipe, expand, startOf, type ClosedRecipe } from '.';
import { must } from '../issue';

const on = (handedness: Handedness, recipe: Partial<ClosedRecipe>): ClosedRecipe => ({
  ...blankRecipe(),
  ...recipe,
  kit: { content: { ...FULL_KIT, handedness } },
});

describe('asPlayed', () => {
  const verbatim = { play: { content: { text: '4 4 4 4' } }, as: startOf('verbatim') };

  it.each([
    ['right', 'RLLK', 'LH'],
    ['mirrored', 'LRRF', 'RH'],
    ['left-lead', 'LRRK', 'RH'],
    ['open-handed', 'RLLK', 'RH'],
  ] as const)(
    '%s: RLLK is said as %s, and what the left hand plays is with the %s',
    (hands, letters, limb) => {
      const sticking = on(hands, { play: { content: typedSticking('RLLK') } });
      const said = asPlayed(sticking).play?.content;
      expect(said && 'sticking' in said && said.sticking).toBe(letters);
      const line = on(hands, verbatim);
      const { as } = asPlayed(line);
      expect(as.kind === 'verbatim' && as.on.limb).toBe(limb);
      // What is said is what sounds.
      expect(new Set(must(expand(line)).strokes.map((stroke) => stroke.limb))).toEqual(
        new Set([limb]),
      );
      const struck = must(expand(sticking)).strokes.map((stroke) => stroke.limb);
      const names = { R: 'RH', L: 'LH', K: 'RF', F: 'LF' } as const;
      expect(struck.slice(0, 4)).toEqual([...letters].map((one) => names[one as 'R']));
    },
  );

  it('cells are turned by their letters', () => {
    const cells = on('mirrored', { ...verbatim, as: startOf('phrase-cells') });
    const { as } = asPlayed(cells);
    expect(as.kind === 'phrase-cells' && as.cells.content.cells['4']).toBe('LRRF');
  });
});
