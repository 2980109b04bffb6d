import { describe, expect, it } from 'vitest';
import { feltPulses, syncopationOf } from '../analysis';
import { must } from '../issue';
import type { Limb, VoiceId } from '../kit';
import { bpm, tempoFor, type SubdivisionId } from '../time';
import { blankRecipe, expand, type Exercise } from '.';

/** One limb alone, worked by hand from common practice (no source). */
function play(
  limb: Limb,
  voice: VoiceId,
  slot: SubdivisionId,
  grid: string,
  meter = '4/4',
): Exercise {
  const content = { name: 'one', meter, swung: false, lanes: [{ limb, voice, slot, grid }] };
  return must(expand({ ...blankRecipe(), meter, over: [{ content }] }));
}

describe('pulses and syncopation', () => {
  it('plain triplets are no other tempo, every 2nd of them is', () => {
    const felt = (grid: string) => {
      const exercise = play('RH', 'ride', '8t', grid);
      return feltPulses(exercise, tempoFor(exercise.meter, bpm(100))).map((one) => one.ratio);
    };
    expect(felt('xxx')).toEqual([]);
    expect(felt('x-')).toEqual([[3, 2]]);
  });

  it('in 6/8 a lone note on the 2nd 8th lasts over the second beat by one level', () => {
    const exercise = play('RF', 'bass', '8', '-x----', '6/8');
    expect(syncopationOf(exercise)[0]).toMatchObject({ value: 2 });
  });
});
