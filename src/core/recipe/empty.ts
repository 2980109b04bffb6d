import type { ClosedRecipe, Recipe } from './schema';
import { RECIPE_VERSION } from './upgrades';

/** An exercise with nothing to play. */
export function emptyExercise<Kit extends Recipe['kit']>(
  meter: ClosedRecipe['meter'],
  kit: Kit,
): Omit<ClosedRecipe, 'kit'> & { readonly kit: Kit } {
  return {
    version: RECIPE_VERSION,
    kind: 'exercise',
    meter,
    feel: { kind: 'straight' },
    over: [],
    play: null,
    as: { kind: 'verbatim', on: { limb: 'LH', voice: 'snare' } },
    clash: 'limbs',
    changes: [],
    kit,
  };
}
