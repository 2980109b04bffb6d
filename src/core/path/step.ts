import { LIMBS, type Limb, type VoiceId } from '../kit';
import type { Change, ClosedRecipe, Exercise } from '../recipe';
import { STEP_KINDS } from './data';

export type StepKind = (typeof STEP_KINDS)[number];

/** The hand and the foot of one side. */
export type Side = 'left' | 'right';

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

/** What a stage plays, whatever asked for it. */
export type StepContent = Omit<BuildStep, 'kind'>;

/** The exercise with one change more. */
export function changed(recipe: ClosedRecipe, change: Change, facts: StepFacts): StepContent {
  return { facts, recipe: { ...recipe, changes: [...recipe.changes, change] } };
}

/** Limbs by how they are written, with those that play them on this kit. */
export function limbsOf(
  whole: Exercise,
): readonly { readonly written: Limb; readonly plays: Limb }[] {
  const found = new Map<Limb, Limb>();
  for (const { limb, written } of whole.strokes) found.set(written?.limb ?? limb, limb);
  return LIMBS.flatMap((written) => {
    const plays = found.get(written);
    return plays ? [{ written, plays }] : [];
  });
}
