import type { Result } from '../issue';
import { findShipped } from '../materials';
import { closeWith, type Lookup } from './close';
import type { ClosedRecipe, Recipe } from './schema';

/** The shipped materials, all in version 1. */
export const shippedIngredients: Lookup = (kind, id, version) => {
  const kinds = kind === 'line' ? (['line', 'sticking'] as const) : ([kind] as const);
  const found = kinds.map((one) => findShipped(one, id)).find((one) => one !== undefined);
  return version === 1 ? found?.content : undefined;
};

/** Closes a recipe of shipped materials. @returns issue `ingredient-missing` for each that is none */
export function close(recipe: Recipe): Result<ClosedRecipe> {
  return closeWith(recipe, shippedIngredients);
}
