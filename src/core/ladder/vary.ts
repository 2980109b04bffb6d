import { fail, ok, type Result } from '../issue';
import { LIMBS } from '../kit';
import { closeWith, editByHand, expand, type Change, type ClosedRecipe } from '../recipe';
import { slotTicks, tick } from '../time';
import { bridgeLoop } from './bridge-loop';
import type { Rung } from './ladder';
import type { Manner } from './stage';
import type { Variation } from '../log';

/** What is played on a rung: the exercise, or the step that the rung asks for, varied.
 * @returns issues of expanding what was asked for */
export function recipeOnRung(
  recipe: ClosedRecipe,
  rung: Pick<Rung, 'stage'>,
  variation: Variation | null,
): Result<ClosedRecipe> {
  const base = stageRecipe(recipe, rung);
  if (!base.ok || variation === null) return base;
  return varyRecipe(base.value, variation);
}

/** A step keeps its own recipe, on the kit of whoever plays it; on the pad and on the lap there is one
 * surface for the hands, and the feet tap. */
function stageRecipe(recipe: ClosedRecipe, { stage }: Pick<Rung, 'stage'>): Result<ClosedRecipe> {
  if (stage?.kind === 'manner') {
    return ok(ON_ONE_SURFACE.includes(stage.manner) ? onPad(recipe) : recipe);
  }
  if (stage?.kind !== 'step') return ok(recipe);
  if ('damaged' in stage.recipe)
    return fail({ code: 'recipe-shape', path: [], misfits: [{ at: '', problem: 'kind' }] });
  const closed = closeWith(stage.recipe);
  return closed.ok ? ok({ ...closed.value, kit: recipe.kit }) : closed;
}

const ON_ONE_SURFACE: readonly Manner[] = ['pad', 'lap'];

function onPad(recipe: ClosedRecipe): ClosedRecipe {
  const kit = { content: { ...recipe.kit.content, voices: ['pad' as const] } };
  const { then } = recipe;
  if (!then) return { ...recipe, kit };
  const members = then.members.map((one) => ({ ...one, recipe: { ...one.recipe, kit } }));
  return { ...recipe, kit, then: { ...then, members } };
}

/** A recipe with a variation on it.
 * @returns issues of `expand` for a recipe that cannot be played; `nothing-to-play` where the
 * variation would leave nothing */
export function varyRecipe(recipe: ClosedRecipe, variation: Variation): Result<ClosedRecipe> {
  const { then: _, ...alone } = recipe;
  const varied = VARIED[variation.kind](alone, variation as never);
  if (!varied.ok) return varied;
  const made = expand(varied.value);
  if (!made.ok) return made;
  return made.value.strokes.length > 0 ? varied : fail({ code: 'nothing-to-play', path: [] });
}

type Of<Kind extends Variation['kind']> = Extract<Variation, { kind: Kind }>;

const VARIED: {
  readonly [Kind in Variation['kind']]: (
    recipe: ClosedRecipe,
    variation: Of<Kind>,
  ) => Result<ClosedRecipe>;
} = {
  without: (recipe, { limb }) =>
    ok(withChange(recipe, { kind: 'only', limbs: LIMBS.filter((one) => one !== limb) })),
  plain: (recipe) => ok(withChange(recipe, { kind: 'plain' })),
  displaced: (recipe) =>
    ok(withChange(recipe, { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' })),
  'other-lead': (recipe) => ok(withChange(recipe, { kind: 'mirror', what: 'hands', part: 'line' })),
  surface: (recipe, { from, to }) =>
    ok(withChange(recipe, { kind: 'revoice', part: 'all', from, to })),
  more: oneMore,
  half: halfOf,
  bridge: (recipe, { from, to }) => bridgeLoop(recipe, from, to),
};

function withChange(recipe: ClosedRecipe, change: Change): ClosedRecipe {
  return { ...recipe, changes: [...recipe.changes, change] };
}

function oneMore(recipe: ClosedRecipe, { at, limb, voice }: Of<'more'>): Result<ClosedRecipe> {
  const exercise = expand(recipe);
  if (!exercise.ok) return exercise;
  const to = { at: tick(at), limb, voice, dynamic: 'normal', ornament: null } as const;
  return ok(editByHand(recipe, exercise.value, [{ from: null, to }]));
}

function halfOf(recipe: ClosedRecipe, { half }: Of<'half'>): Result<ClosedRecipe> {
  const exercise = expand(recipe);
  if (!exercise.ok) return exercise;
  const slots = exercise.value.cycleTicks / slotTicks('16');
  const middle = Math.floor(slots / 2);
  const [from, count] = half === 'first' ? [0, middle] : [middle, Math.floor(slots) - middle];
  return ok(withChange(recipe, { kind: 'excerpt', from, slots: count, slot: '16' }));
}
