import { instantsOf } from '../analysis';
import { LIMBS, type Limb } from '../kit';
import { expand, type Change, type ClosedRecipe, type Exercise } from '../recipe';
import { beats, parseMeter, slotTicks, type Meter } from '../time';
import { STEP_KINDS } from './data';

export type StepKind = (typeof STEP_KINDS)[number];

/** What a step plays of the exercise. */
export type StepFacts =
  | { readonly plays: 'limbs'; readonly limbs: readonly Limb[] }
  | { readonly plays: 'pulse' | 'beats' | 'plain' | 'full-grid' | 'whole' }
  | { readonly plays: 'graces'; readonly slot: '8t' | '16' }
  /** The first `count` of `of` rules that add notes. */
  | { readonly plays: 'nth'; readonly count: number; readonly of: number }
  | { readonly plays: 'share'; readonly limb: Limb }
  | { readonly plays: 'half'; readonly half: 'first' | 'second' };

/** One stage of building an exercise. */
export interface BuildStep {
  readonly kind: StepKind | 'whole';
  readonly facts: StepFacts;
  readonly recipe: ClosedRecipe;
}

/** The steps of an exercise by a template, ending with the whole. What would play nothing, or the same
 * as a step before or the whole, is left out; only a full grid comes back between its shares.
 * @returns empty where the exercise cannot be played */
export function buildSteps(
  recipe: ClosedRecipe,
  template: readonly StepKind[],
): readonly BuildStep[] {
  const { then: _, ...alone } = recipe;
  const whole = expand(alone);
  if (!whole.ok) return [];
  const end = soundOf(whole.value);
  const steps: BuildStep[] = [];
  const seen = new Set<string>();
  let before = '';
  for (const kind of template) {
    for (const step of STAGES[kind](alone, whole.value)) {
      const made = expand(step.recipe);
      const sound = made.ok ? soundOf(made.value) : '';
      const again = kind === 'shares' ? sound === before : seen.has(sound) || sound === end;
      if (sound === '' || again) continue;
      before = sound;
      seen.add(sound);
      steps.push({ kind, ...step });
    }
  }
  return [...steps, { kind: 'whole', facts: { plays: 'whole' }, recipe: alone }];
}

function soundOf({ strokes, cycleTicks }: Exercise): string {
  const said = strokes.map((one) => `${one.at} ${one.limb} ${one.voice} ${one.ornament ?? ''}`);
  return said.length === 0 ? '' : `${cycleTicks}: ${said.join()}`;
}

type StepContent = Omit<BuildStep, 'kind'>;

const STAGES: Readonly<
  Record<StepKind, (recipe: ClosedRecipe, whole: Exercise) => readonly StepContent[]>
> = {
  limbs: (recipe, whole) => groups(recipe, whole, 1),
  pairs: (recipe, whole) => groups(recipe, whole, 2),
  threes: (recipe, whole) => groups(recipe, whole, 3),
  pulse: pulseStages,
  beats: (recipe) => [
    changed(recipe, { kind: 'thin', part: 'over', limb: 'RH', keep: 'beats' }, { plays: 'beats' }),
  ],
  nth: nthStages,
  skeleton: (recipe) => [changed(recipe, { kind: 'plain' }, { plays: 'plain' })],
  graces: (recipe) =>
    (['8t', '16'] as const).map((slot) =>
      changed(recipe, { kind: 'open-graces', slot }, { plays: 'graces', slot }),
    ),
  shares: shareStages,
  halves: halfStages,
};

function changed(recipe: ClosedRecipe, change: Change, facts: StepFacts): StepContent {
  return { facts, recipe: { ...recipe, changes: [...recipe.changes, change] } };
}

/** Limbs by how they are written, with those that play them on this kit. */
function limbsOf(whole: Exercise): readonly { readonly written: Limb; readonly plays: Limb }[] {
  const found = new Map<Limb, Limb>();
  for (const { limb, written } of whole.strokes) found.set(written?.limb ?? limb, limb);
  return LIMBS.flatMap((written) => {
    const plays = found.get(written);
    return plays ? [{ written, plays }] : [];
  });
}

/** Every so many limbs together; all of them are the whole. */
function groups(recipe: ClosedRecipe, whole: Exercise, size: number): readonly StepContent[] {
  const limbs = limbsOf(whole);
  if (limbs.length <= size) return [];
  const choose = (from: number, count: number): (typeof limbs)[] =>
    count === 0
      ? [[]]
      : limbs.flatMap((limb, index) =>
          index < from ? [] : choose(index + 1, count - 1).map((rest) => [limb, ...rest]),
        );
  return choose(0, size).map((group) => {
    const limbs = group.map(({ plays }) => plays);
    const only = { kind: 'only', limbs: group.map(({ written }) => written) } as const;
    return changed(recipe, only, { plays: 'limbs', limbs });
  });
}

/** The line’s pulse in its place: a note on every felt beat. */
function pulseStages(recipe: ClosedRecipe): readonly StepContent[] {
  const meter = parseMeter(recipe.meter);
  const content = recipe.play?.content;
  if (!meter.ok || !content || 'sticking' in content) return [];
  const play = { content: { text: pulseText(meter.value) } };
  return [{ facts: { plays: 'pulse' }, recipe: { ...recipe, play } }];
}

/** @example 4/4 // => '4 4 4 4'; 7/8 // => '4 4 4.' */
function pulseText(meter: Meter): string {
  const value = (ticks: number) => {
    if (ticks === slotTicks('4') * 2) return '2';
    if (ticks === slotTicks('4')) return '4';
    return ticks === slotTicks('8') * 3 ? '4.' : '8';
  };
  return beats(meter)
    .map((beat) => value(beat.ticks))
    .join(' ');
}

/** The first of the every-nth rules, then the first two, and so on. */
function nthStages(recipe: ClosedRecipe): readonly StepContent[] {
  const rules = recipe.changes.filter((change) => change.kind === 'every-nth');
  return rules.map((_, count) => {
    const kept = new Set(rules.slice(0, count));
    const changes = recipe.changes.filter(
      (change) => change.kind !== 'every-nth' || kept.has(change),
    );
    const facts: StepFacts = { plays: 'nth', count, of: rules.length };
    return { facts, recipe: { ...recipe, changes } };
  });
}

/** Where the hands fill a grid without ever meeting: all of it, the one share alone, all of it, the
 * other share. */
function shareStages(recipe: ClosedRecipe, whole: Exercise): readonly StepContent[] {
  const hands = limbsOf(whole).filter(({ written }) => written === 'RH' || written === 'LH');
  const meets = instantsOf(whole).some(({ limbs }) => limbs.includes('RH') && limbs.includes('LH'));
  if (hands.length < 2 || meets || whole.reads !== 'sticking') return [];
  const feet = limbsOf(whole).filter(({ written }) => written === 'RF' || written === 'LF');
  return hands.flatMap(({ written, plays }): StepContent[] => [
    { facts: { plays: 'full-grid' }, recipe },
    changed(
      recipe,
      { kind: 'only', limbs: [written, ...feet.map((foot) => foot.written)] },
      { plays: 'share', limb: plays },
    ),
  ]);
}

/** The one half of the cycle, the other, split at the beat that lies nearest the middle. */
function halfStages(recipe: ClosedRecipe, whole: Exercise): readonly StepContent[] {
  const { meter, cycleTicks, barTicks, bars } = whole;
  const slot = slotTicks('16');
  const places = Array.from({ length: bars }, (_, bar) =>
    beats(meter).map((beat) => bar * barTicks + beat.at),
  ).flat();
  const middle = places.reduce(
    (best, at) => (Math.abs(at - cycleTicks / 2) < Math.abs(best - cycleTicks / 2) ? at : best),
    0,
  );
  const [split, end] = [middle / slot, cycleTicks / slot];
  if (split <= 0 || !Number.isInteger(split) || !Number.isInteger(end)) return [];
  const half = (from: number, slots: number, which: 'first' | 'second') =>
    changed(recipe, { kind: 'excerpt', from, slots, slot: '16' }, { plays: 'half', half: which });
  return [half(0, split, 'first'), half(split, end - split, 'second')];
}
