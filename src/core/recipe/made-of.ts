import type { Ostinato } from '../materials';
import { blankRecipe, startOf, toggleOstinato } from './blank';
import { withPlay } from './free-limb';
import type { ClosedRecipe } from './schema';

type Lane = Ostinato['lanes'][number];

/** A groove of its own, one lane. @param name as it would be typed */
export function laneOver(name: string, lane: Lane): ClosedRecipe['over'][number] {
  return { content: { name, meter: '4/4', swung: false, lanes: [lane] } };
}

/** An ostinato alone, in its own meter. */
export function overOne(content: Ostinato): ClosedRecipe {
  const { name, meter, swung, lanes } = content;
  return {
    ...blankRecipe(),
    meter,
    over: [{ content: { name, meter, swung, lanes: [...lanes] } }],
  };
}

/** These shipped ostinatos under each other. */
export function overThese(...ids: readonly string[]): ClosedRecipe {
  return ids.reduce<ClosedRecipe>((recipe, id) => toggleOstinato(recipe, id), blankRecipe());
}

/** A line over a groove, by the limb that is free. */
export function lineOver(recipe: ClosedRecipe, text: string): ClosedRecipe {
  return withPlay(recipe, { content: { text } });
}

/** A line over a groove, read by the cells that fill its gaps. */
export function cellsOver(recipe: ClosedRecipe, text: string): ClosedRecipe {
  return { ...recipe, play: { content: { text } }, as: startOf('phrase-cells') };
}
