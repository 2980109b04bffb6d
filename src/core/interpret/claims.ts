import { fail, ok, type Result } from '../issue';
import { LIMBS, type Limb } from '../kit';
import { louderOf, type Layer, type Stroke } from '../pattern';
import type { InterpretationKind } from './registry';

/** What happens where the interpretation needs a limb that the ostinato uses. */
export const LIMB_POLICIES = ['rest', 'merge', 'refuse'] as const;
export type LimbPolicy = (typeof LIMB_POLICIES)[number];

export interface Settled {
  readonly over: readonly Layer[];
  readonly line: Layer;
  /** Limbs that both wanted, in limb order. */
  readonly shared: readonly Limb[];
}

/** Applies the policy to layers looped to one cycle.
 * `rest`: the ostinato's part on a claimed limb rests. `merge`: both play, and at one instant the
 * louder stroke wins. `refuse`: issue `limb-claimed`. */
export function settleClaims(
  over: readonly Layer[],
  line: Layer,
  claims: readonly Limb[],
  policy: LimbPolicy,
  by: InterpretationKind | 'sticking',
): Result<Settled> {
  const used = new Set<Limb>();
  for (const layer of over) for (const { limb } of layer.strokes) used.add(limb);
  const shared = claims.filter((limb) => used.has(limb));
  if (shared.length === 0) return ok({ over, line, shared });
  const clashes = (stroke: Stroke) => shared.includes(stroke.limb);
  switch (policy) {
    case 'refuse':
      return fail({
        code: 'limb-claimed',
        path: ['clash'],
        limbs: shared,
        by,
        over: over.filter((layer) => layer.strokes.some(clashes)).map((layer) => layer.name),
      });
    case 'rest':
      return ok({ over: over.map((layer) => without(layer, clashes)), line, shared });
    case 'merge': {
      const rivals = new Map(line.strokes.map((stroke) => [instant(stroke), stroke]));
      const softer = (stroke: Stroke) => {
        const rival = rivals.get(instant(stroke));
        return rival !== undefined && louderOf(rival, stroke) === rival;
      };
      const kept = over.map((layer) => without(layer, softer));
      const louder = new Set<number>();
      for (const layer of kept) {
        for (const stroke of layer.strokes) {
          const key = instant(stroke);
          if (rivals.has(key)) louder.add(key);
        }
      }
      return ok({
        over: kept,
        line: without(line, (stroke) => louder.has(instant(stroke))),
        shared,
      });
    }
  }
}

/** A number for a limb at an instant. */
function instant({ at, limb }: Stroke): number {
  return at * LIMBS.length + LIMBS.indexOf(limb);
}

function without(layer: Layer, drop: (stroke: Stroke) => boolean): Layer {
  const strokes = layer.strokes.filter((stroke) => !drop(stroke));
  return strokes.length === layer.strokes.length ? layer : { ...layer, strokes };
}
