import { describe, expect, it } from 'vitest';
import { hindrances } from '../analysis';
import { must } from '../issue';
import { blankRecipe, expand, lineOver, overThese, type ClosedRecipe } from '../recipe';
import { typedSticking } from '../sticking';
import { bpm, tempoFor } from '../time';
import { factsOf, twistsOf, varyRecipe } from '.';

function twists(recipe: ClosedRecipe) {
  const exercise = must(expand(recipe));
  return twistsOf(recipe, exercise, tempoFor(exercise.meter, bpm(80)));
}

const strokes = (recipe: ClosedRecipe) =>
  must(expand(recipe)).strokes.map(({ at, limb, voice }) => `${at} ${limb} ${voice}`);

describe('twistsOf', () => {
  it('a groove goes to another surface, or takes one note more', () => {
    const rock = overThese('rock-8ths');
    const [surface, more, ...others] = twists(rock);
    expect(others).toEqual([]);
    expect(surface).toEqual({ kind: 'surface', from: 'hat', to: 'ride' });
    expect(more).toMatchObject({ kind: 'more', voice: 'bass', limb: 'RF' });
  });

  it('a line is displaced first, a sticking is led by the other hand', () => {
    const line = lineOver(overThese('rock-8ths-hands'), '4. 4 8 4');
    expect(twists(line).map((one) => one.kind)).toEqual(['displaced', 'surface', 'more']);
    const sticking = { ...blankRecipe(), play: { content: typedSticking('RLRRLRLL') } };
    expect(twists(sticking).map((one) => one.kind)).toContain('displaced');
    expect(twists(sticking)[0]).toEqual({ kind: 'other-lead' });
  });

  it('the first is what the ladder proposes', () => {
    for (const recipe of [overThese('rock-8ths'), lineOver(overThese('hats-2-4'), '4 4 4 4')]) {
      expect(factsOf(must(expand(recipe)), recipe).twist).toEqual(twists(recipe)[0]);
    }
  });

  it('each can be played, changes something, and breaks nothing that held', () => {
    const line = lineOver(overThese('jazz-ride'), '4. 4 8 4');
    for (const recipe of [overThese('rock-8ths'), overThese('waltz'), line]) {
      const before = must(expand(recipe));
      const tempo = tempoFor(before.meter, bpm(80));
      for (const twist of twists(recipe)) {
        const varied = must(varyRecipe(recipe, twist));
        expect(strokes(varied)).not.toEqual(strokes(recipe));
        if (twist.kind !== 'more') continue;
        const after = must(expand(varied));
        expect(after.strokes).toHaveLength(before.strokes.length + 1);
        expect(hindrances(after, tempo).length).toBeLessThanOrEqual(
          hindrances(before, tempo).length,
        );
      }
    }
  });
});
