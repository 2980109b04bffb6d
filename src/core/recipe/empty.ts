import type { ClosedRecipe } from './schema';
import { RECIPE_VERSION } from './upgrades';

/** An exercise with nothing to play, but for its meter and its kit. */
export const EMPTY: Omit<ClosedRecipe, 'meter' | 'kit'> = {
  version: RECIPE_VERSION,
  kind: 'exercise',
  feel: { kind: 'straight' },
  over: [],
  play: null,
  as: { kind: 'verbatim', on: { limb: 'LH', voice: 'snare' } },
  clash: 'limbs',
  changes: [],
};
