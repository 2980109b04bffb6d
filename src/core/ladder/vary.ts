import { instantsOf } from '../analysis';
import { fail, ok, type Result } from '../issue';
import { LIMBS } from '../kit';
import type { Lane } from '../materials';
import {
  closeWith,
  editByHand,
  emptyExercise,
  expand,
  type Change,
  type ClosedRecipe,
} from '../recipe';
import { slotTicks, SUBDIVISION_IDS, tick, wrap } from '../time';
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

/** Two neighbouring events in turn, each as far from the next as in the exercise: the bridge that
 * breaks, as a loop of its own, straight: where a swing is heard, its gaps are written out. What is
 * arrived at keeps its place in the beat.
 * @param from place in the cycle of the first event, in ticks  @param to of the one after it
 * @returns `nothing-to-play` where nothing is struck at either place */
export function bridgeLoop(recipe: ClosedRecipe, from: number, to: number): Result<ClosedRecipe> {
  const { then: _, ...alone } = recipe;
  const exercise = expand(alone);
  if (!exercise.ok) return exercise;
  const chain = instantsOf(exercise.value);
  const events = [from, to].map((at) => chain.find((one) => one.at === at));
  const { cycleTicks } = exercise.value;
  const heard = events.map((event) => Math.round(event?.soundsTicks ?? 0));
  const place = gridOf(heard[0] ?? 0, heard[1] ?? 0, cycleTicks) ?? gridOf(from, to, cycleTicks);
  if (!place || events.some((event) => !event)) return fail({ code: 'nothing-to-play', path: [] });
  const { slot, apart, arrives } = place;
  const lanes = new Map<string, { lane: Lane; slots: string[] }>();
  events.forEach((event, index) => {
    for (const stroke of event?.strokes ?? []) {
      const { limb, voice } = stroke.written ?? stroke;
      const key = `${limb} ${voice}`;
      const slots = lanes.get(key)?.slots ?? Array.from({ length: 2 * apart }, () => '-');
      slots[(arrives + (1 - index) * apart) % (2 * apart)] = MARK[stroke.dynamic];
      lanes.set(key, { lane: { limb, voice, slot, grid: '' }, slots });
    }
  });
  const made = [...lanes.values()].map(({ lane, slots }) => ({ ...lane, grid: slots.join('') }));
  const content = { name: 'bridge', meter: alone.meter, swung: false, lanes: made };
  const { meter, kit } = alone;
  return ok({ ...emptyExercise(meter, kit), over: [{ content }] });
}

/** The coarsest slots on which a place and the gap before it lie; null where none do. */
function gridOf(from: number, to: number, cycle: number) {
  const gap = wrap(to - from, cycle);
  const slot = SUBDIVISION_IDS.find(
    (id) => gap > 0 && gap % slotTicks(id) === 0 && to % slotTicks(id) === 0,
  );
  return slot ? { slot, apart: gap / slotTicks(slot), arrives: to / slotTicks(slot) } : null;
}

const MARK = { ghost: 'g', tap: 'x', normal: 'x', accent: 'X' } as const;
