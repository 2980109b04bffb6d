import { describe, expect, it } from 'vitest';
import { ENGLISH, sayNeighbour } from '@/words';
import { must } from '../issue';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import { bpm, tempoFor } from '../time';
import { neighboursOf } from '.';

const recipe = toggleOstinato(blankRecipe(), 'rock-quarters');
const exercise = must(expand(recipe));
const tempo = tempoFor(exercise.meter, bpm(80));
const all = neighboursOf(recipe, exercise, tempo);

describe('neighboursOf a rock beat in quarters', () => {
  it('removes each of its 8 notes, moves each to both sides, adds on every free 8th', () => {
    const count = (kind: string) => all.filter((one) => one.kind === kind).length;
    expect(count('removed')).toBe(8);
    expect(count('moved')).toBe(16);
    expect(count('added')).toBe(8 - 4 + (8 - 2) + (8 - 2));
  });

  it('differs from it by just one note', () => {
    const name = (of: typeof exercise) =>
      of.strokes.map(({ at, limb, voice }) => `${at} ${limb} ${voice}`);
    for (const one of all) {
      const next = name(must(expand(one.recipe)));
      const gone = name(exercise).filter((note) => !next.includes(note)).length;
      const come = next.filter((note) => !name(exercise).includes(note)).length;
      expect([gone, come]).toEqual({ removed: [1, 0], moved: [1, 1], added: [0, 1] }[one.kind]);
    }
  });

  it('is ordered from the easiest; one note off the beat is harder', () => {
    const harder = all.map((one) => one.harder);
    expect(harder).toEqual([...harder].sort((a, b) => a - b));
    expect(
      all.find((one) => sayNeighbour(ENGLISH, one, exercise) === 'bass drum added on & of 2')
        ?.harder,
    ).toBeGreaterThan(0);
    expect(
      all.find((one) => sayNeighbour(ENGLISH, one, exercise) === 'snare on 2 left out')?.kind,
    ).toBe('removed');
  });
});
