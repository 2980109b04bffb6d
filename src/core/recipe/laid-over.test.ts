import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { readOstinato } from '../materials';
import { parseMeter } from '../time';
import { blankRecipe, expand, toggleOstinato, type ClosedRecipe } from '.';

const closed = toggleOstinato(blankRecipe(), 'one-hand-16ths');
const handed = must(
  expandable('R closed hi-hat: x-x-x-x-x-x-x-x-; L closed hi-hat: -x-x-x-x-x-x-x-x'),
);

function expandable(typed: string) {
  const read = readOstinato(typed, must(parseMeter('4/4')));
  if (!read.ok) return read;
  const [content] = read.value;
  if (!content) throw new Error('no reading');
  return { ok: true, value: { ...blankRecipe(), over: [{ content }] } } as const;
}

function over(recipe: ClosedRecipe, typed: string): ClosedRecipe {
  return { ...recipe, over: [...recipe.over, ...must(expandable(typed)).over] };
}

/** What hands strike, as `slot limb voice`, slots in 16ths. */
function struck(recipe: ClosedRecipe): string[] {
  return must(expand(recipe)).strokes.flatMap(({ at, limb, voice }) =>
    limb === 'RH' || limb === 'LH' ? [`${at / 5040} ${limb} ${voice}`] : [],
  );
}

describe('what is laid over a groove', () => {
  it('as an open hi-hat replaces the closed stroke there, and nothing else', () => {
    const open = struck(over(closed, 'open hi-hat: --------------x-'));
    expect(open).toContain('14 RH hat-open');
    expect(open).toEqual(
      struck(closed).map((one) => (one === '14 RH hat' ? '14 RH hat-open' : one)),
    );
  });

  it('replaces it whichever hand has the closed one', () => {
    const open = struck(over(handed, 'open hi-hat: -------x--------'));
    expect(open.filter((one) => one.startsWith('7 '))).toEqual(['7 RH hat-open']);
    expect(open).toHaveLength(16);
  });

  it('by a change replaces it too', () => {
    const to = { limb: 'RH', voice: 'hat-open' } as const;
    const open = struck({
      ...closed,
      changes: [{ kind: 'place', to, slot: '16', grid: '--------------x-' }],
    });
    expect(open.filter((one) => one.startsWith('14 '))).toEqual(['14 RH hat-open']);
  });

  it('leaves the foot on the hi-hat alone, and what lies on other surfaces', () => {
    const feet = struck(over(closed, 'hi-hat foot: x---x---x---x---; snare: ----x-------x---'));
    expect(feet.filter((one) => one.includes('hat'))).toEqual(
      struck(closed).filter((one) => one.includes('hat')),
    );
    expect(feet.filter((one) => one.includes('snare'))).toEqual(['4 LH snare', '12 LH snare']);
  });
});
