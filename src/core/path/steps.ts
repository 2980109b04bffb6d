import { instantsOf } from '../analysis';
import type { Limb, VoiceId } from '../kit';
import { expand, type ClosedRecipe, type Exercise } from '../recipe';
import { beats, parseMeter, slotTicks, type Meter } from '../time';
import { halfStages } from './halves';
import { joinedSteps } from './joined';
import { sideStages } from './sides';
import {
  changed,
  limbsOf,
  type BuildStep,
  type StepContent,
  type StepFacts,
  type StepKind,
} from './step';

/** The steps of an exercise by a template, ending with the whole. What would play nothing, or the same
 * as a step before or the whole, is left out; only a full grid comes back between its shares. A sequence is
 * learnt part by part: 1, 2, both, 3, all three, and so on, whatever the template.
 * @returns empty where the exercise cannot be played */
export function buildSteps(
  recipe: ClosedRecipe,
  template: readonly StepKind[],
): readonly BuildStep[] {
  if (recipe.then) return joinedSteps(recipe);
  const whole = expand(recipe);
  if (!whole.ok) return [];
  const end = soundOf(whole.value);
  const steps: BuildStep[] = [];
  const seen = new Set<string>();
  let before = '';
  for (const kind of template) {
    for (const step of STAGES[kind](recipe, whole.value)) {
      const made = expand(step.recipe);
      const sound = made.ok ? soundOf(made.value) : '';
      const again = kind === 'shares' ? sound === before : seen.has(sound) || sound === end;
      if (sound === '' || again) continue;
      before = sound;
      seen.add(sound);
      steps.push({ kind, ...step });
    }
  }
  return [...steps, { kind: 'whole', facts: { plays: 'whole' }, recipe }];
}

function soundOf({ strokes, cycleTicks }: Exercise): string {
  const said = strokes.map((one) => `${one.at} ${one.limb} ${one.voice} ${one.ornament ?? ''}`);
  return said.length === 0 ? '' : `${cycleTicks}: ${said.join()}`;
}

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
    (['8t', '16'] as const).flatMap((slot) => {
      const step = changed(recipe, { kind: 'open-graces', slot }, { plays: 'graces', slot });
      const made = expand(step.recipe);
      return made.ok && made.value.crowdedGraces.length > 0 ? [] : [step];
    }),
  shares: shareStages,
  sides: sideStages,
  away: awayStages,
  halves: halfStages,
};

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
    return changed(recipe, only, { plays: 'limbs', limbs, voices: ownVoices(whole, limbs) });
  });
}

/** The one voice of each of these limbs; null where a limb has several, or shares one with another limb. */
function ownVoices(whole: Exercise, limbs: readonly Limb[]): readonly VoiceId[] | null {
  const voices = limbs.flatMap((limb) => {
    const all = new Set(whole.strokes.flatMap((one) => (one.limb === limb ? [one.voice] : [])));
    const [only] = all;
    const alone =
      all.size === 1 && whole.strokes.every((one) => one.voice !== only || one.limb === limb);
    return alone && only !== undefined ? [only] : [];
  });
  return voices.length === limbs.length ? voices : null;
}

/** Everything without one limb, for each of them; with that limb it is the whole again. */
function awayStages(recipe: ClosedRecipe, whole: Exercise): readonly StepContent[] {
  const limbs = limbsOf(whole);
  if (limbs.length < 3) return [];
  return limbs.map(({ written, plays }) => {
    const rest = limbs.flatMap((one) => (one.written === written ? [] : [one.written]));
    const facts: StepFacts = {
      plays: 'without',
      limb: plays,
      voice: ownVoices(whole, [plays])?.[0] ?? null,
    };
    return changed(recipe, { kind: 'only', limbs: rest }, facts);
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
