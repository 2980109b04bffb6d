import type { ClosedRecipe } from './schema';

/** Phrases that a choice about another one can change along with it. */
const FIELDS = ['meter', 'feel', 'as'] as const;

type Field = (typeof FIELDS)[number];

/** What a choice changed besides what it was about, as it is now and as it was.
 * @param meant what the choice was about
 * @example a jazz ride chosen for what keeps going // => its feel: swung, from straight */
export function changedBesides(
  before: ClosedRecipe,
  after: ClosedRecipe,
  meant: readonly (keyof ClosedRecipe)[],
): { readonly now: Partial<ClosedRecipe>; readonly was: Partial<ClosedRecipe> } {
  const fields = FIELDS.filter(
    (field) =>
      !meant.includes(field) && JSON.stringify(before[field]) !== JSON.stringify(after[field]),
  );
  const take = (recipe: ClosedRecipe): Partial<ClosedRecipe> =>
    Object.fromEntries(fields.map((field: Field) => [field, recipe[field]]));
  return { now: take(after), was: take(before) };
}
