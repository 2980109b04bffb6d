import { blankRecipe, laneOver, overThese } from '../recipe';
import { familyOf } from './family-of';
import type { Family } from './schema';

const SNARES = [
  ['S: 1 2 3 4', 'x-x-x-x-'],
  ['S: xxxxxxxx', 'xxxxxxxx'],
  ['S: -x-x-x-x', '-x-x-x-x'],
] as const;

/** A family to begin with: quarters, 8ths and upbeats on the ride, each with the same three on the snare, over
 * feet that alternate. Nine members. */
export function flowFamily(): Family {
  const rides = [...overThese('ride-quarters', 'ride-8ths', 'ride-upbeats').over];
  const snares = SNARES.map(([name, grid]) =>
    laneOver(name, { limb: 'LH', voice: 'snare', slot: '8', grid }),
  );
  const feet = overThese('feet-alternating').over;
  const base = { ...blankRecipe(), over: [...rides.slice(0, 1), ...snares.slice(0, 1), ...feet] };
  return {
    ...familyOf(base),
    axes: [
      { at: 'over', index: 0, values: rides },
      { at: 'over', index: 1, values: snares },
    ],
  };
}
