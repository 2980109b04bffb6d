import { instantsOf } from '../analysis';
import { LIMBS, type Limb, type VoiceId } from '../kit';
import {
  expand,
  partsOf,
  withParts,
  type Change,
  type ClosedRecipe,
  type Exercise,
} from '../recipe';
import { beats, parseMeter, slotTicks, type Meter } from '../time';
import { STEP_KINDS } from './data';

export type StepKind = (typeof STEP_KINDS)[number];

/** The hand and the foot of one side. */
type Side = 'left' | 'right';

/** What a step plays of the exercise. */
export type StepFacts =
  /** `voices`: what they sound, where each has one of its own; null where the limbs are the point. */
  | {
      readonly plays: 'limbs';
      readonly limbs: readonly Limb[];
      readonly voices: readonly VoiceId[] | null;
    }
  /** All but one of them. */
  | { readonly plays: 'without'; readonly limb: Limb; readonly voice: VoiceId | null }
  /** One side alone, then with a plain pulse of a limb of the other side, then with what that plays. */
  | {
      readonly plays: 'side';
      readonly side: Side;
      readonly with: 'nothing' | 'pulse' | 'written';
      readonly limb: Limb | null;
    }
  /** A part of a sequence, or the first so many of them joined; from 1. */
  | {
      readonly plays: 'part';
      readonly part: number;
      readonly name: string;
      readonly untimed: boolean;
    }
  | { readonly plays: 'joined'; readonly parts: number }
  | { readonly plays: 'pulse' | 'beats' | 'plain' | 'full-grid' | 'whole' }
  | { readonly plays: 'graces'; readonly slot: '8t' | '16' }
  /** The first `count` of `of` rules that add notes. */
  | { readonly plays: 'nth'; readonly count: number; readonly of: number }
  | { readonly plays: 'share'; readonly limb: Limb }
  | { readonly plays: 'half'; readonly half: 'first' | 'second' };

/** One stage of building an exercise. */
export interface BuildStep {
  readonly kind: StepKind | 'whole' | 'parts';
  readonly facts: StepFacts;
  readonly recipe: ClosedRecipe;
}

/** The steps of an exercise by a template, ending with the whole. What would play nothing, or the same
 * as a step before or the whole, is left out; only a full grid comes back between its shares. A sequence is
 * learnt part by part: 1, 2, both, 3, all three, and so on, whatever the template.
 * @returns empty where the exercise cannot be played */
export function buildSteps(
  recipe: ClosedRecipe,
  template: readonly StepKind[],
): readonly BuildStep[] {
  if (recipe.then) return joinedSteps(recipe);
  const alone = recipe;
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

/** Each part, and after each but the first, all up to it together. */
function joinedSteps(recipe: ClosedRecipe): readonly BuildStep[] {
  if (!expand(recipe).ok) return [];
  const [first, ...others] = partsOf(recipe);
  const parts = [first, ...others];
  return parts.flatMap((part, nth): BuildStep[] => {
    const { name, untimed } = part;
    const alone: BuildStep = {
      kind: 'parts',
      facts: { plays: 'part', part: nth + 1, name, untimed },
      recipe: part.recipe,
    };
    if (nth === 0) return [alone];
    const last = nth === parts.length - 1;
    const joined = withParts([first, ...others.slice(0, nth)]);
    const facts: StepFacts = last ? { plays: 'whole' } : { plays: 'joined', parts: nth + 1 };
    return [alone, { kind: last ? 'whole' : 'parts', facts, recipe: joined }];
  });
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
  sides: sideStages,
  away: awayStages,
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

const SIDE_OF: Readonly<Record<Limb, Side>> = { RH: 'right', RF: 'right', LH: 'left', LF: 'left' };

/** The side that keeps going, then a plain pulse of the other over it, then what that limb plays, then its
 * second limb too. The side that plays the line comes second; without a line, the right. */
function sideStages(recipe: ClosedRecipe, whole: Exercise): readonly StepContent[] {
  const limbs = limbsOf(whole);
  const lineSides = whole.strokes.flatMap(({ from, limb }) =>
    from.source === 'line' ? [SIDE_OF[limb]] : [],
  );
  const second: Side =
    lineSides.every((one) => one === 'left') && lineSides.length > 0 ? 'left' : 'right';
  const sideOf = (side: Side) => limbs.filter(({ plays }) => SIDE_OF[plays] === side);
  const first: Side = second === 'left' ? 'right' : 'left';
  const [keeps, over] = [sideOf(first), sideOf(second)];
  const [lead] = over;
  if (keeps.length === 0 || !lead) return [];
  const only = (all: typeof limbs) =>
    ({ kind: 'only', limbs: all.map(({ written }) => written) }) as const;
  const alone = changed(recipe, only(keeps), {
    ...{ plays: 'side', side: first, with: 'nothing', limb: null },
  });
  const pulse = pulsePlaced(recipe, whole, lead);
  return [
    alone,
    ...(pulse
      ? [
          changed(alone.recipe, pulse, {
            ...{ plays: 'side', side: first, with: 'pulse', limb: lead.plays },
          }),
        ]
      : []),
    changed(recipe, only([...keeps, lead]), {
      ...{ plays: 'side', side: first, with: 'written', limb: lead.plays },
    }),
  ];
}

/** A note of a limb on every beat, where all beats are as long; on the voice that it plays most. */
function pulsePlaced(
  recipe: ClosedRecipe,
  whole: Exercise,
  { written, plays }: { readonly written: Limb; readonly plays: Limb },
): Change | null {
  const counted = new Map<VoiceId, number>();
  for (const stroke of whole.strokes) {
    if (stroke.limb !== plays) continue;
    const voice = stroke.written?.voice ?? stroke.voice;
    counted.set(voice, (counted.get(voice) ?? 0) + 1);
  }
  const [voice] = [...counted].sort((a, b) => b[1] - a[1])[0] ?? [];
  const all = beats(whole.meter);
  const [beat] = all;
  if (voice === undefined || !beat || all.some(({ ticks }) => ticks !== beat.ticks)) return null;
  const slots = beat.ticks / slotTicks('8');
  if (!Number.isInteger(slots)) return null;
  const grid = `x${'-'.repeat(slots - 1)}`.repeat(all.length);
  return { kind: 'place', to: { limb: written, voice }, slot: '8', grid };
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

/** The one half, the other, split at the beat that lies nearest the middle: of a phrase that is placed in
 * time its own halves, in as few bars as it takes; else of the cycle. */
function halfStages(placed: ClosedRecipe, cycle: Exercise): readonly StepContent[] {
  const isPlaced = placed.changes.some(({ kind }) => kind === 'aim');
  const recipe = isPlaced ? inFewBars(placed, cycle) : placed;
  const made = recipe === placed ? null : expand(recipe);
  const whole = made?.ok ? made.value : cycle;
  const { from, to } = isPlaced ? phraseSpan(whole) : { from: 0, to: whole.cycleTicks };
  const slot = slotTicks('16');
  const middle = (from + to) / 2;
  const split = beatsOf(whole).reduce(
    (best, at) => (Math.abs(at - middle) < Math.abs(best - middle) ? at : best),
    from,
  );
  const [first, second, end] = [from / slot, split / slot, to / slot];
  if (split <= from || split >= to || ![first, second, end].every(Number.isInteger)) return [];
  const half = (start: number, slots: number, which: 'first' | 'second') =>
    changed(
      recipe,
      { kind: 'excerpt', from: start, slots, slot: '16' },
      { plays: 'half', half: which },
    );
  return [half(first, second - first, 'first'), half(second, end - second, 'second')];
}

/** The recipe with its phrase placed in no more bars than it touches. */
function inFewBars(recipe: ClosedRecipe, whole: Exercise): ClosedRecipe {
  const { from, to } = phraseSpan(whole);
  const { barTicks } = whole;
  const bars = Math.ceil(to / barTicks) - Math.floor(from / barTicks);
  const changes = recipe.changes.map((change): Change => {
    if (change.kind !== 'aim') return change;
    return { ...change, bars, ...(change.on && { on: { ...change.on, bar: 1 } }) };
  });
  return { ...recipe, changes };
}

/** All beats of the cycle, in ticks. */
function beatsOf({ bars, barTicks, meter }: Exercise): readonly number[] {
  return Array.from({ length: bars }, (_, bar) =>
    beats(meter).map((beat) => bar * barTicks + beat.at),
  ).flat();
}

/** From the beat of the line’s first stroke to the end of the beat of its last one, in ticks. */
function phraseSpan(whole: Exercise): { readonly from: number; readonly to: number } {
  const places = whole.strokes.flatMap(({ at, from }) =>
    from.source === 'line' || from.source === 'fill' ? [at] : [],
  );
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const all = beatsOf(whole);
  return {
    from: all.findLast((at) => at <= first) ?? 0,
    to: all.find((at) => at > last) ?? whole.cycleTicks,
  };
}
