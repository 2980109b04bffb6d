import type { KitProfile } from '../kit';
import {
  factsOf,
  NO_FACTS,
  recipeOnRung,
  type ExerciseFacts,
  type LadderState,
  type Rung,
} from '../ladder';
import { expand, type ClosedRecipe, type Exercise } from '../recipe';

/** A recipe on a student's own kit, all members of a sequence too. */
function onKit(recipe: ClosedRecipe, kit: KitProfile | null): ClosedRecipe {
  if (!kit) return recipe;
  const own = { content: { ...kit, voices: [...kit.voices] } };
  const { then } = recipe;
  if (!then) return { ...recipe, kit: own };
  const members = then.members.map((one) => ({ ...one, recipe: { ...one.recipe, kit: own } }));
  return { ...recipe, kit: own, then: { ...then, members } };
}

/** What a recipe plays on a kit, and what a log has to know of it. */
export interface Fitted {
  readonly whole: ClosedRecipe;
  readonly exercise: Exercise | null;
  readonly facts: ExerciseFacts;
}

/** Recipes are expanded once for each kit: rosters ask for the same ones over and over. */
const FITTED = new WeakMap<ClosedRecipe, Map<string, Fitted>>();

export function fittedOf(recipe: ClosedRecipe, kit: KitProfile | null): Fitted {
  const known = FITTED.get(recipe) ?? new Map<string, Fitted>();
  FITTED.set(recipe, known);
  const key = JSON.stringify(kit);
  let fitted = known.get(key);
  if (!fitted) {
    const whole = onKit(recipe, kit);
    const made = expand(whole);
    const exercise = made.ok ? made.value : null;
    const facts = exercise ? factsOf(exercise, whole) : NO_FACTS;
    fitted = { whole, exercise, facts };
    known.set(key, fitted);
  }
  return fitted;
}

/** What was played on a rung: steps and variations are exercises of their own. */
const PLAYED = new WeakMap<ClosedRecipe, Map<string, Exercise | null>>();

/** What is played on a rung, varied; null where it cannot be. */
export function playedOn(
  fitted: Fitted,
  rung: Rung,
  variation: LadderState['variation'],
): Exercise | null {
  if (!rung.stage && !variation) return fitted.exercise;
  const known = PLAYED.get(fitted.whole) ?? new Map<string, Exercise | null>();
  PLAYED.set(fitted.whole, known);
  const key = `${rung.stage ? rung.key : ''} ${JSON.stringify(variation)}`;
  let played = known.get(key);
  if (played === undefined) {
    const recipe = recipeOnRung(fitted.whole, rung, variation);
    const made = recipe.ok ? expand(recipe.value) : recipe;
    played = made.ok ? made.value : null;
    known.set(key, played);
  }
  return played;
}
