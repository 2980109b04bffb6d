import type { ClosedRecipe } from '../recipe';
import type { Family } from './schema';

/** Format of the families that this Mivvel writes. */
export const FAMILY_VERSION = 2;

/** A family before anything is varied. */
export function familyOf(base: ClosedRecipe): Family {
  return {
    version: FAMILY_VERSION,
    base,
    axes: [],
    kept: null,
    dropped: [],
    order: null,
    first: [],
    last: [],
    stop: null,
    fold: false,
    naming: '',
  };
}
