import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { readLink, writeLink, expand, WAY_IN_IDS, WAYS_IN } from '.';

describe.each(WAY_IN_IDS)('the way in %s', (id) => {
  it('can be played, and survives a link', () => {
    const recipe = WAYS_IN[id]();
    const exercise = must(expand(recipe));
    expect(exercise.strokes.length).toBeGreaterThan(4);
    expect(must(expand(must(readLink(writeLink(recipe))))).strokes).toEqual(exercise.strokes);
  });
});

it('every 2nd note of the ride, and every 2nd bass drum, as counted by hand', () => {
  const exercise = must(expand(WAYS_IN.nth()));
  const of = (limb: string) =>
    exercise.strokes.flatMap((one) =>
      one.limb === limb && one.at < exercise.barTicks ? [one.at / 10080] : [],
    );
  // 8ths: bass drum on 0 2 4 6 of 8, snare on 2 and 6.
  expect(of('RF')).toEqual([0, 2, 4, 6]);
  expect(of('LH')).toEqual([2, 6]);
});
