import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { quarters } from '../time';
import { asDrawn, blankRecipe, expand, soundsAt, toggleOstinato, type ClosedRecipe } from '.';

const ride: ClosedRecipe = {
  ...toggleOstinato(blankRecipe(), 'ride-8ths'),
  feel: { kind: 'swung', long: 2, short: 1 },
};
const withLine = (text: string, feel: ClosedRecipe['feel'] = ride.feel) =>
  must(expand({ ...ride, feel, play: { content: { text } } }));

describe('an exercise as it is drawn', () => {
  it('what sounds together stands together: 8ths swung 2:1 under triplets', () => {
    const exercise = withLine('3(8 8 8) 3(8 8 8) 3(8 8 8) 3(8 8 8)');
    const drawn = asDrawn(exercise);
    const places = (limb: string) =>
      drawn.strokes.flatMap((one) => (one.limb === limb ? [one.at] : []));
    expect(places('RH').slice(0, 4)).toEqual([0, quarters(2, 3), quarters(1), quarters(5, 3)]);
    expect(places('RH').every((at) => places('LH').includes(at))).toBe(true);
    expect(drawn.strokes.map((one) => Math.round(soundsAt(one, drawn)))).toEqual(
      exercise.strokes.map((one) => Math.round(soundsAt(one, exercise))).sort((a, b) => a - b),
    );
  });

  it('anything else stands as it is written', () => {
    for (const exercise of [
      withLine('4 4 4 4'),
      withLine('3(8 8 8) 4 4 4', { kind: 'swung', long: 3, short: 2 }),
      withLine('3(8 8 8) 4 4 4', { kind: 'straight' }),
    ]) {
      expect(asDrawn(exercise)).toBe(exercise);
    }
  });
});
