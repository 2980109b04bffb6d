import type { ClosedRecipe, Recipe } from './schema';
import { RECIPE_VERSION } from './schema';
import { close } from './close';
import { must } from '../issue';
import { slotTicks, type SubdivisionId } from '../time';

type As = ClosedRecipe['as'];

/** What each interpretation starts with before the teacher changes it. */
const STARTS: { readonly [Kind in As['kind']]: Extract<Recipe['as'], { kind: Kind }> } = {
  verbatim: { kind: 'verbatim', on: { limb: 'LH', voice: 'snare' } },
  'short-long': {
    kind: 'short-long',
    short: { limb: 'LH', voice: 'snare' },
    long: { limb: 'RF', voice: 'bass' },
    longFrom: '4',
  },
  'phrase-cells': {
    kind: 'phrase-cells',
    cells: { id: 'usual-cells', version: 1 },
    chosen: {},
    voices: { R: 'snare', L: 'snare', K: 'bass', F: 'hat-foot' },
    accentLastOfSix: false,
  },
};

const BLANK: Recipe = {
  version: RECIPE_VERSION,
  kind: 'exercise',
  meter: '4/4',
  feel: { kind: 'straight' },
  over: [],
  play: null,
  as: STARTS.verbatim,
  clash: 'rest',
  changes: [],
  kit: { id: 'full-kit', version: 1 },
};

/** An empty exercise: 4/4, straight, full kit, nothing to play yet. */
export function blankRecipe(): ClosedRecipe {
  return must(close(BLANK));
}

/** The interpretation that a chooser offers first for a kind. */
export function startOf(kind: As['kind']): As {
  return must(close({ ...BLANK, as: STARTS[kind] })).as;
}

/** The recipe with an ostinato added or taken away. An ostinato that is meant swung, as the first
 * ingredient of a straight exercise, brings its feel, and its meter with it. */
export function toggleOstinato(recipe: ClosedRecipe, id: string): ClosedRecipe {
  const over = recipe.over.filter((one) => one.id !== id);
  if (over.length < recipe.over.length) return { ...recipe, over };
  const added = must(close({ ...BLANK, over: [{ id, version: 1 }] })).over[0];
  if (!added) return recipe;
  const first = recipe.over.length === 0;
  const swings = added.content.swung && recipe.feel.kind === 'straight';
  return {
    ...recipe,
    over: [...over, added],
    feel: swings ? { kind: 'swung', long: 2, short: 1 } : recipe.feel,
    meter: first && recipe.play === null ? added.content.meter : recipe.meter,
  };
}

/** Slot lengths that a displacement may take, from the coarsest. */
export const DISPLACEMENT_SLOTS = (['4', '8', '8t', '16', '16t', '32'] as SubdivisionId[]).sort(
  (a, b) => slotTicks(b) - slotTicks(a),
);
