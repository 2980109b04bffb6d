import type { Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo, Tick } from '../time';
import { gapMsBetween, instantsOf } from './instants';

/** From one set of limbs to the next. */
export interface Transition {
  readonly at: Tick;
  /** Limb sets in limb order. */
  readonly from: readonly Limb[];
  readonly to: readonly Limb[];
  readonly gapMs: number;
  readonly acrossSeam: boolean;
}

/** The exercise as a chain of transitions over the cycle, the last across the loop seam. */
export function transitionsOf(exercise: Exercise, tempo: Tempo): readonly Transition[] {
  const chain = instantsOf(exercise);
  return chain.flatMap((one, index): Transition[] => {
    const acrossSeam = index === chain.length - 1;
    const next = acrossSeam ? chain[0] : chain[index + 1];
    if (!next) return [];
    const gapMs = gapMsBetween(one, next, exercise, tempo);
    const { at, limbs } = one;
    return [{ at, from: limbs, to: next.limbs, gapMs, acrossSeam }];
  });
}
