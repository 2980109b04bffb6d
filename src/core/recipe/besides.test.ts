import { describe, expect, it } from 'vitest';
import { blankRecipe, changedBesides, readAs, toggleOstinato, withFreeLimb, withPlay } from '.';

const line = { content: { text: '4. 4 8 4' } };

describe('changedBesides', () => {
  it('tells the feel and the meter that a first groove brings', () => {
    const blank = blankRecipe();
    const waltz = { ...toggleOstinato(blank, 'jazz-ride'), meter: '3/4' };
    expect(changedBesides(blank, waltz, ['over'])).toEqual({
      now: { meter: '3/4', feel: { kind: 'swung', long: 2, short: 1 } },
      was: { meter: '4/4', feel: { kind: 'straight' } },
    });
  });

  it('tells the limb that makes room', () => {
    const before = withPlay(blankRecipe(), line);
    const after = withFreeLimb(before, toggleOstinato(before, 'hand-to-hand-right'));
    const { now, was } = changedBesides(before, after, ['over']);
    expect(now).toEqual({ as: after.as });
    expect({ ...after, ...was }.as).toEqual(before.as);
  });

  it('tells the swing that is written out in triplets', () => {
    const before = { ...toggleOstinato(blankRecipe(), 'jazz-ride'), play: line };
    const after = readAs(before, 'accents-triplets');
    expect(changedBesides(before, after, ['as']).now).toEqual({ feel: { kind: 'triplets' } });
  });

  it('is silent where nothing else changed, and about what was meant', () => {
    const before = blankRecipe();
    expect(changedBesides(before, withPlay(before, line), ['play'])).toEqual({ now: {}, was: {} });
    const read = readAs({ ...before, play: line }, 'short-long');
    expect(changedBesides(before, read, ['as', 'play']).now).toEqual({});
  });
});
