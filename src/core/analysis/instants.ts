import { LIMBS, type Limb } from '../kit';
import type { Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import type { Tick } from '../time';

/** All strokes that sound together. */
export interface Instant {
  readonly at: Tick;
  readonly strokes: readonly Stroke[];
  /** The limbs that play, in limb order. */
  readonly limbs: readonly Limb[];
}

/** Nearly every reading begins with the chain of instants; it is made once for an exercise. */
const MADE = new WeakMap<Exercise, readonly Instant[]>();

/** The exercise as a chain of instants over one cycle, in order. */
export function instantsOf(exercise: Exercise): readonly Instant[] {
  let chain = MADE.get(exercise);
  if (!chain) {
    chain = makeInstants(exercise.strokes);
    MADE.set(exercise, chain);
  }
  return chain;
}

function makeInstants(strokes: readonly Stroke[]): readonly Instant[] {
  const found: Instant[] = [];
  for (let first = 0; first < strokes.length;) {
    const at = strokes[first]?.at;
    let end = first + 1;
    while (strokes[end]?.at === at) end += 1;
    const together = strokes.slice(first, end);
    if (at !== undefined) found.push({ at, strokes: together, limbs: limbsIn(together) });
    first = end;
  }
  return found;
}

function limbsIn(strokes: readonly Stroke[]): readonly Limb[] {
  const [only, second] = strokes;
  if (only && !second) return [only.limb];
  return LIMBS.filter((limb) => strokes.some((stroke) => stroke.limb === limb));
}
