export {
  ANY_NOTE,
  blankRecipe,
  DISPLACEMENT_SLOTS,
  INTERPRETATION_STARTS,
  recipeOfMaterial,
  startOf,
  toggleOstinato,
  withWrittenSwing,
} from './blank';
export { readAs, withFreeLimb, withPlay } from './free-limb';
export { cellsOver, laneOver, lineOver, overOne, overThese } from './made-of';
export { WAY_IN_IDS, WAYS_IN } from './ways-in';
export { MOST_CHANGES, MOST_OVER } from './data';
export type { WayIn } from './ways-in';
export { isRecord } from './upgrades';
export { asDrawn } from './as-drawn';
export { asPlayed, turnedLimb } from './as-played';
export { misplacedBarLines } from './bar-lines';
export { emptyExercise } from './empty';
export { changedBesides } from './besides';
export { closeWith, recipeHash } from './close';
export { expand, interpretationOptions, MOST_BARS } from './expand';
export { soundingLength, soundsAt } from './exercise';
export { editByHand } from './hand';
export { packLink, writeLink } from './link';
export { partsOf, withParts } from './parts';
export { anchorMends } from './anchor-mends';
export type { GaveWay, LostAnchor } from './gave-way';
export { readLink, unpackLink } from './read-link';
export { axisSchemas, keptRecipeSchema, readRecipe, recipeSchema, upgradeRecipe } from './schema';
export { roundOf } from './round';
export { close, shippedIngredients } from './shipped';
export type { StartId } from './blank';
export type { SeenEdit } from './hand';
export type { Exercise, Member } from './exercise';
export type { Part } from './parts';
export type { Change } from '../transform';
export type { ClosedMember, ClosedRecipe, PlayContent, Recipe } from './schema';
