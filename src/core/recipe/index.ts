export {
  ANY_NOTE,
  blankRecipe,
  DISPLACEMENT_SLOTS,
  INTERPRETATION_STARTS,
  readAs,
  startOf,
  toggleOstinato,
} from './blank';
export { close, recipeHash, shippedIngredients } from './close';
export { expand, interpretationOptions, MOST_BARS } from './expand';
export { readLink, writeLink } from './link';
export { suggestName } from './name';
export { readRecipe, RECIPE_VERSION, recipeSchema } from './schema';
export { sayChange, sayPolicy, sentence, sentenceText } from './sentence';
export type { InterpretationStart } from './blank';
export type { IngredientKind, Lookup } from './close';
export type { Exercise } from './exercise';
export type { Change, ClosedRecipe, Recipe } from './schema';
export type { SentenceKey, SentenceLine } from './sentence';
