import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { barTicks, parseMeter, quarters, tick } from '../time';
import { blankRecipe, editByHand, expand, toggleOstinato, type ClosedRecipe } from '.';

const bar = barTicks(must(parseMeter('4/4')));

/** Two bars of snare quarters, then two bars of halves. */
function twoParts(): ClosedRecipe {
  const line = (text: string) => ({ ...blankRecipe(), play: { content: { text } } });
  const second = { name: 'halves', bars: 2, recipe: line('2 2') };
  return { ...line('4 4 4 4'), then: { bars: 2, members: [second] } };
}

function places(recipe: ClosedRecipe): string[] {
  return must(expand(recipe)).strokes.map(({ at, dynamic }) => {
    const beat = (at % bar) / quarters(1) + 1;
    return `${Math.floor(at / bar) + 1}:${beat}${dynamic === 'accent' ? '!' : ''}`;
  });
}

describe('editByHand in a sequence', () => {
  const recipe = twoParts();
  const whole = must(expand(recipe));
  const strokeAt = (at: number) => {
    const found = whole.strokes.find((one) => one.at === at);
    if (!found) throw new Error(`nothing at ${at}`);
    return found;
  };

  it('goes to the member in whose bars it lies, in all its passes', () => {
    const from = strokeAt(3 * bar);
    const { limb, voice } = from;
    const to = { at: from.at, limb, voice, dynamic: 'accent' as const, ornament: null };
    const edited = editByHand(recipe, whole, [{ from, to }]);
    expect(edited.changes).toEqual([]);
    expect(edited.then?.members[0]?.recipe.changes).toHaveLength(1);
    expect(places(edited).slice(8)).toEqual(['3:1!', '3:3', '4:1!', '4:3']);
    expect(places(edited).slice(0, 8)).toEqual(places(recipe).slice(0, 8));
  });

  it('a stroke carried into another member goes there', () => {
    const from = strokeAt(bar + quarters(3));
    const { limb, voice, dynamic } = from;
    const to = { at: tick(2 * bar + quarters(1)), limb, voice, dynamic, ornament: null };
    const edited = editByHand(recipe, whole, [{ from, to }]);
    expect(places(edited)).toEqual([
      '1:1',
      '1:2',
      '1:3',
      '2:1',
      '2:2',
      '2:3',
      '3:1',
      '3:2',
      '3:3',
      '4:1',
      '4:2',
      '4:3',
    ]);
  });

  it('taken back, the sequence is as it was', () => {
    const gone = editByHand(recipe, whole, [{ from: strokeAt(2 * bar), to: null }]);
    const after = must(expand(gone));
    const { limb, voice, dynamic } = strokeAt(2 * bar);
    const back = { at: tick(2 * bar), limb, voice, dynamic, ornament: null };
    const again = editByHand(gone, after, [{ from: null, to: back }]);
    expect(places(again)).toEqual(places(recipe));
  });
});

describe('an ostinato on the shelf', () => {
  it('keeps limits out of what it plays', () => {
    const plain = toggleOstinato(blankRecipe(), 'rock-8ths');
    const kit = { content: { ...plain.kit.content, limits: { handRun: 90 } } };
    expect(must(expand({ ...plain, kit })).strokes).toEqual(must(expand(plain)).strokes);
  });
});
