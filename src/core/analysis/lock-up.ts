import { LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import type { Tick } from '../time';
import { instantsOf, LIMB_BITS, LIMB_SETS } from './instants';

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
  const bySet: (Tick[] | undefined)[] = [];
  const instants = instantsOf(exercise);
  const order: number[] = [];
  for (const { at, mask } of instants) {
    const places = bySet[mask];
    if (places) places.push(at);
    else {
      bySet[mask] = [at];
      order.push(mask);
    }
  }
  const together = order
    .map((mask) => ({ limbs: LIMB_SETS[mask] ?? [], at: bySet[mask] ?? [] }))
    .filter(({ limbs }) => limbs.length > 1);
  return {
    together: together.sort((a, b) => b.at.length - a.at.length),
    alone: LIMBS.flatMap((limb) => {
      const at = bySet[LIMB_BITS[limb]];
      return at ? [{ limb, at }] : [];
    }),
    instants: instants.length,
  };
}
