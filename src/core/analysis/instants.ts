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
  /** The same as bits: 1 right hand, 2 left hand, 4 right foot, 8 left foot. */
  readonly mask: number;
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
    if (at !== undefined) {
      const mask = together.reduce((bits, stroke) => bits | LIMB_BITS[stroke.limb], 0);
      found.push({ at, strokes: together, limbs: LIMB_SETS[mask] ?? [], mask });
    }
    first = end;
  }
  return found;
}

/** A bit for each limb. */
export const LIMB_BITS: Readonly<Record<Limb, number>> = { RH: 1, LH: 2, RF: 4, LF: 8 };

/** Every set of limbs by its bits, in limb order. */
const LIMB_SETS: readonly (readonly Limb[])[] = Array.from({ length: 16 }, (_, mask) =>
  LIMBS.filter((limb) => (mask & LIMB_BITS[limb]) !== 0),
);

const BY_LIMB = new WeakMap<Exercise, Readonly<Record<Limb, readonly Stroke[]>>>();

/** What one limb plays over the cycle, in order of time. */
export function strokesOf(exercise: Exercise, limb: Limb): readonly Stroke[] {
  let found = BY_LIMB.get(exercise);
  if (!found) {
    const made: Record<Limb, Stroke[]> = { RH: [], LH: [], RF: [], LF: [] };
    for (const stroke of exercise.strokes) made[stroke.limb].push(stroke);
    found = made;
    BY_LIMB.set(exercise, found);
  }
  return found[limb];
}
