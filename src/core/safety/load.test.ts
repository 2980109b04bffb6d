import { describe, expect, it } from 'vitest';
import { ENGLISH, sayLoad } from '@/words';
import { must } from '../issue';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import { bpm, tempoFor } from '../time';
import { heavyLoads, LOAD_LIMIT } from '.';

describe('heavyLoads', () => {
  const exercise = must(expand(toggleOstinato(blankRecipe(), 'one-hand-16ths-upbeats')));

  it('names a limb whose strokes a second pass the limit: 16ths at 121 are 8.07', () => {
    expect(heavyLoads(exercise, tempoFor(exercise.meter, bpm(120)))).toEqual([]);
    const [load, ...others] = heavyLoads(exercise, tempoFor(exercise.meter, bpm(121)));
    expect(others).toEqual([]);
    expect(load).toMatchObject({ limb: 'RH', limit: LOAD_LIMIT.hand });
    expect(load && sayLoad(ENGLISH, load, 121)).toBe(
      'The right hand plays 8.1 a second at 121, above 8: short tries, with breaks; stop on pain.',
    );
  });
});
