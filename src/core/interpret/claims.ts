import { fail, ok, type Result } from '../issue';
import { LIMBS, type Limb } from '../kit';
import { louderOf, type Layer, type Stroke } from '../pattern';
import { wrap } from '../time';
import type { InterpretationKind } from './registry';

/** What happens where the phrase needs a limb that the groove uses, in the order in which they are offered. */
export const LIMB_POLICIES = ['limbs', 'groove', 'throughout', 'merge', 'refuse'] as const;
export type LimbPolicy = (typeof LIMB_POLICIES)[number];

/** A stretch of the cycle that comes again: from `from`, every so many ticks, for so long. */
export interface Stretch {
  readonly from: number;
  readonly every: number;
  readonly ticks: number;
  /** Whether its last stroke is a landing: the groove lands with it, but for the limb that strikes. */
  readonly lands?: boolean;
}

export interface Settled {
  readonly over: readonly Layer[];
  readonly line: Layer;
  /** Limbs that both wanted, in limb order. */
  readonly shared: readonly Limb[];
}

/** Applies the policy to layers looped to one cycle. It is about the time in which the phrase sounds, from
 * its first to its last stroke, each time that its stretch comes, and about limbs that both use then.
 * Where it lands, only the limb that strikes gives way.
 * `limbs`: the limbs that the phrase takes rest meanwhile. `groove`: all of the groove does. `merge`: both
 * play, and at one instant the louder stroke wins. `refuse`: issue `limb-claimed`. `throughout`: a limb
 * that the phrase ever takes has no groove at all.
 * @param claims limbs that the phrase takes, whatever it is made of
 * @example a fill on beat 4 of every 4th bar // => the bars before it keep their groove */
export function settleClaims(
  over: readonly Layer[],
  line: Layer,
  {
    stretch,
    claims,
    policy,
    by,
  }: {
    readonly stretch: Stretch;
    readonly claims: readonly Limb[];
    readonly policy: LimbPolicy;
    readonly by: InterpretationKind | 'sticking';
  },
): Result<Settled> {
  const sounding = policy === 'throughout' ? () => true : soundingOf(line, stretch);
  const takes = policy === 'throughout' ? claims : limbsOf(line.strokes);
  const under = limbsOf(over.flatMap((layer) => layer.strokes.filter(sounding)));
  const shared = takes.filter((limb) => under.includes(limb));
  if (shared.length === 0) return ok({ over, line, shared });
  const clashes = (stroke: Stroke) => shared.includes(stroke.limb) && sounding(stroke);
  switch (policy) {
    case 'refuse':
      return fail({
        code: 'limb-claimed',
        path: ['clash'],
        limbs: shared,
        by,
        over: over.filter((layer) => layer.strokes.some(clashes)).map((layer) => layer.name),
      });
    case 'limbs':
    case 'throughout':
      return ok({ over: over.map((layer) => without(layer, clashes)), line, shared });
    case 'groove':
      return ok({ over: over.map((layer) => without(layer, sounding)), line, shared });
    case 'merge':
      return ok({ ...merged(over, line), shared });
  }
}

/** Whether something lies in the time in which the phrase sounds. */
function soundingOf(
  line: Layer,
  { from, every, ticks, lands = false }: Stretch,
): (stroke: Stroke) => boolean {
  const offset = ({ at }: Stroke) => wrap(at - from, every);
  const offsets = line.strokes.map(offset).filter((one) => one < ticks);
  const [first, last] = [Math.min(...offsets), Math.max(...offsets)];
  const striking = limbsOf(line.strokes.filter((one) => offset(one) === last));
  return (stroke) => {
    const at = offset(stroke);
    if (lands && at === last) return striking.includes(stroke.limb);
    return at >= first && at <= last;
  };
}

function limbsOf(strokes: readonly Stroke[]): readonly Limb[] {
  const used = new Set(strokes.map(({ limb }) => limb));
  return LIMBS.filter((limb) => used.has(limb));
}

function merged(over: readonly Layer[], line: Layer): Pick<Settled, 'over' | 'line'> {
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
  return { over: kept, line: without(line, (stroke) => louder.has(instant(stroke))) };
}

/** A number for a limb at an instant. */
function instant({ at, limb }: Stroke): number {
  return at * LIMBS.length + LIMBS.indexOf(limb);
}

function without(layer: Layer, drop: (stroke: Stroke) => boolean): Layer {
  const strokes = layer.strokes.filter((stroke) => !drop(stroke));
  return strokes.length === layer.strokes.length ? layer : { ...layer, strokes };
}
