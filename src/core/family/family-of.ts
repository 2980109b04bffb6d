import type { ClosedRecipe } from '../recipe';
import { FAMILY_VERSION } from './data';
import type { Family } from './schema';

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
