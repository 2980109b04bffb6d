import type { ClosedRecipe, Recipe } from './schema';
import { emptyExercise } from './empty';
import { close } from './shipped';
import { must } from '../issue';
import { findShipped, type Material, type Ostinato } from '../materials';
import { slotTicks, type SubdivisionId } from '../time';

type As = ClosedRecipe['as'];

type OpenAs = Recipe['as'];
type RecipeRule = Extract<OpenAs, { kind: 'rules' }>['rules'][number];

export type StartId =
  | 'verbatim'
  | 'short-long'
  | 'phrase-cells'
  | 'accents-16ths'
  | 'accents-triplets'
  | 'hand-against-hand'
  | 'line-doubled'
  | 'left-triplets'
  | 'rules';

/** A way to read a line, as a chooser offers it. */
export interface InterpretationStart {
  readonly id: StartId;
  readonly as: OpenAs;
}

const snare = { limb: 'LH', voice: 'snare' } as const;
const bass = { limb: 'RF', voice: 'bass' } as const;

/** A rule before the teacher says what it is about. */
export const ANY_NOTE: RecipeRule = {
  by: 'length',
  from: null,
  to: null,
  place: 'any',
  order: 'any',
  plays: [snare],
  dynamic: 'normal',
  fill: null,
};

/** What each interpretation starts with before the teacher changes it; some start in several ways.
 * The first of a kind is the kind's own start. */
export const INTERPRETATION_STARTS: readonly InterpretationStart[] = [
  {
    id: 'verbatim',
    as: { kind: 'verbatim', on: snare },
  },
  {
    id: 'short-long',
    as: { kind: 'short-long', short: snare, long: bass, longFrom: '4' },
  },
  {
    id: 'phrase-cells',
    as: {
      kind: 'phrase-cells',
      cells: { id: 'usual-cells', version: 1 },
      chosen: {},
      voices: { R: 'snare', L: 'snare', K: 'bass', F: 'hat-foot' },
      accentLastOfSix: false,
    },
  },
  {
    id: 'accents-16ths',
    as: { kind: 'accent-grid', grid: '16', sticking: 'RL', voice: 'snare', doubled: false },
  },
  {
    id: 'accents-triplets',
    as: { kind: 'accent-grid', grid: '8t', sticking: 'RL', voice: 'snare', doubled: false },
  },
  {
    id: 'hand-against-hand',
    as: {
      kind: 'line-fill',
      short: [{ limb: 'RH', voice: 'snare' }],
      long: [{ limb: 'RH', voice: 'snare' }],
      longFrom: '4',
      fill: snare,
      grid: '8',
    },
  },
  {
    id: 'line-doubled',
    as: {
      kind: 'line-fill',
      short: [{ limb: 'RH', voice: 'crash' }, bass],
      long: [{ limb: 'RH', voice: 'crash' }, bass],
      longFrom: '4',
      fill: snare,
      grid: '8',
    },
  },
  {
    id: 'left-triplets',
    as: { kind: 'line-fill', short: [snare], long: [bass], longFrom: '4', fill: snare, grid: '8t' },
  },
  {
    id: 'rules',
    as: {
      kind: 'rules',
      rules: [
        { ...ANY_NOTE, to: 2, plays: [snare] },
        { ...ANY_NOTE, from: 3, plays: [bass] },
      ],
    },
  },
];

const BLANK = emptyExercise('4/4', { id: 'full-kit', version: 1 });

/** An empty exercise: 4/4, straight, full kit, nothing to play yet. */
export function blankRecipe(): ClosedRecipe {
  return must(close(BLANK));
}

/** The start of a kind, or of a way by its id.
 * @throws RangeError on anything else (a caller's bug) */
export function startOf(id: As['kind'] | InterpretationStart['id']): As {
  const start = INTERPRETATION_STARTS.find((one) => one.id === id || one.as.kind === id);
  if (!start) throw new RangeError(`${id} is no interpretation`);
  return must(close({ ...BLANK, as: start.as })).as;
}

/** The recipe with a swing in triplets where its interpretation fills triplets. */
export function withWrittenSwing(recipe: ClosedRecipe): ClosedRecipe {
  const { as, feel, play } = recipe;
  const filled = 'grid' in as && as.grid === '8t' && play !== null;
  return filled && feel.kind === 'swung' ? { ...recipe, feel: { kind: 'triplets' } } : recipe;
}

/** The recipe with an ostinato added or taken away. An ostinato that is meant swung, as the first
 * ingredient of a straight exercise, brings its feel, and its meter with it.
 * @param own the studio's own ostinato of this id; a shipped one is known */
export function toggleOstinato(
  recipe: ClosedRecipe,
  id: string,
  own?: { readonly version: number; readonly content: Ostinato },
): ClosedRecipe {
  const over = recipe.over.filter((one) => one.id !== id);
  if (over.length < recipe.over.length) return { ...recipe, over };
  const { version, content } = own ?? { version: 1, content: findShipped('ostinato', id)?.content };
  if (!content) return recipe;
  const { name, meter, swung, lanes } = content;
  const added = { id, version, content: { name, meter, swung, lanes: [...lanes] } };
  const first = recipe.over.length === 0;
  const swings = swung && recipe.feel.kind === 'straight';
  return {
    ...recipe,
    over: [...over, added],
    feel: swings ? { kind: 'swung', long: 2, short: 1 } : recipe.feel,
    meter: first && recipe.play === null ? meter : recipe.meter,
  };
}

/** An exercise that shows a material by itself: an ostinato or a line alone, a sticking, a line in
 * these cells or rules, a beat on this kit. */
export function recipeOfMaterial(material: Material): ClosedRecipe {
  const blank = blankRecipe();
  const { id, version } = material;
  const line = { content: { text: '4. 4 8 4' } };
  switch (material.kind) {
    case 'ostinato':
      return toggleOstinato(blank, id, material);
    case 'line':
      return {
        ...blank,
        meter: material.meter ?? blank.meter,
        play: { id, version, content: { ...material.content } },
      };
    case 'sticking':
      return { ...blank, play: { id, version, content: { ...material.content } } };
    case 'cells': {
      const { name, cells } = material.content;
      const as = startOf('phrase-cells');
      const content = { name, cells: { ...cells } };
      return as.kind === 'phrase-cells'
        ? { ...blank, play: line, as: { ...as, cells: { id, version, content } } }
        : blank;
    }
    case 'rules': {
      const rules = material.content.rules.map((rule) => ({ ...rule, plays: [...rule.plays] }));
      return { ...blank, play: line, as: { kind: 'rules', rules } };
    }
    case 'kit': {
      const content = { ...material.content, voices: [...material.content.voices] };
      return { ...toggleOstinato(blank, 'rock-8ths'), kit: { id, version, content } };
    }
  }
}

/** Slot lengths that a displacement may take, from the coarsest. */
export const DISPLACEMENT_SLOTS = (['4', '8', '8t', '16', '16t', '32'] as SubdivisionId[]).sort(
  (a, b) => slotTicks(b) - slotTicks(a),
);
