import { LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tick } from '../time';
import { instantsOf } from './instants';

/** Where limbs coincide, in which sets, and which notes stand alone. */
export interface LockUp {
  /** Limb sets of two or more, most frequent first. */
  readonly together: readonly { readonly limbs: readonly Limb[]; readonly at: readonly Tick[] }[];
  /** Limbs that play alone somewhere, in limb order. */
  readonly alone: readonly { readonly limb: Limb; readonly at: readonly Tick[] }[];
  /** Instants in one cycle. */
  readonly instants: number;
}

export function lockUp(exercise: Exercise): LockUp {
  const together = new Map<string, { limbs: readonly Limb[]; at: Tick[] }>();
  const alone = new Map<Limb, Tick[]>();
  const instants = instantsOf(exercise);
  for (const instant of instants) {
    const { limbs } = instant;
    const [only] = limbs;
    if (limbs.length === 1 && only) {
      const places = alone.get(only);
      if (places) places.push(instant.at);
      else alone.set(only, [instant.at]);
    } else {
      const key = limbs.join(' ');
      const set = together.get(key) ?? { limbs, at: [] };
      set.at.push(instant.at);
      together.set(key, set);
    }
  }
  return {
    together: [...together.values()].sort((a, b) => b.at.length - a.at.length),
    alone: LIMBS.flatMap((limb) => {
      const at = alone.get(limb);
      return at ? [{ limb, at }] : [];
    }),
    instants: instants.length,
  };
}
