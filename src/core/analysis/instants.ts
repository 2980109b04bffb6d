import { LIMBS, type Limb } from '../kit';
import { figureOf, type Stroke } from '../pattern';
import { soundingLength, soundsAt, type Exercise } from '../recipe';
import { ticksToSeconds, type Tempo, type Tick } from '../time';

/** All strokes that sound together. */
export interface Instant {
  /** Where it is written. */
  readonly at: Tick;
  /** Where it sounds: fractional ticks from the start of the cycle, and milliseconds besides, which
   * grace notes alone have. */
  readonly soundsTicks: number;
  readonly ms: number;
  readonly strokes: readonly Stroke[];
  /** The limbs that play, in limb order. */
  readonly limbs: readonly Limb[];
  /** The same as bits: 1 right hand, 2 left hand, 4 right foot, 8 left foot. */
  readonly mask: number;
}

/** One movement of a limb, with where it sounds. */
interface Sounding {
  readonly stroke: Stroke;
  readonly soundsTicks: number;
  readonly ms: number;
}

/** Nearly every reading begins with the chain of instants; it is made once for an exercise. */
const MADE = new WeakMap<Exercise, readonly Instant[]>();
const MOMENTS = new WeakMap<Exercise, readonly Instant[]>();

/** The written strokes as a chain of instants over one cycle, in the order in which they sound. */
export function instantsOf(exercise: Exercise): readonly Instant[] {
  let chain = MADE.get(exercise);
  if (!chain) {
    chain = group(soundingOf(exercise, false));
    MADE.set(exercise, chain);
  }
  return chain;
}

/** All that limbs do as a chain: the strokes, and the grace notes, diddles and rolls on them, each as
 * strokes of their own. The same as `instantsOf` where nothing is ornamented. */
export function momentsOf(exercise: Exercise): readonly Instant[] {
  if (!isOrnamented(exercise)) return instantsOf(exercise);
  let chain = MOMENTS.get(exercise);
  if (!chain) {
    chain = group(soundingOf(exercise, true));
    MOMENTS.set(exercise, chain);
  }
  return chain;
}

function isOrnamented({ strokes }: Exercise): boolean {
  return strokes.some((stroke) => stroke.ornament !== undefined);
}

/** @param figures whether ornaments are written out */
function soundingOf(exercise: Exercise, figures: boolean): readonly Sounding[] {
  const found = exercise.strokes.flatMap((stroke): readonly Sounding[] => {
    const soundsTicks = soundsAt(stroke, exercise);
    if (!figures || !stroke.ornament) return [{ stroke, soundsTicks, ms: 0 }];
    const lasts = soundingLength(stroke, exercise);
    return figureOf(stroke).map(({ kind, limb, share, ms }) => {
      const { ornament: _, ...plain } = stroke;
      const dynamic = kind === 'grace' ? 'ghost' : stroke.dynamic;
      return { stroke: { ...plain, limb, dynamic }, soundsTicks: soundsTicks + share * lasts, ms };
    });
  });
  if (!figures && exercise.feel.kind !== 'swung') return found;
  return [...found].sort((a, b) => a.soundsTicks - b.soundsTicks || a.ms - b.ms);
}

/** Nearer than this is at once; in ticks, far below what is heard. */
const AT_ONCE = 1e-3;

function group(sounding: readonly Sounding[]): readonly Instant[] {
  const found: Instant[] = [];
  for (let first = 0; first < sounding.length;) {
    const head = sounding[first];
    if (!head) break;
    const { soundsTicks, ms } = head;
    let end = first + 1;
    for (let next = sounding[end]; next; next = sounding[end]) {
      if (next.ms !== ms || next.soundsTicks - soundsTicks > AT_ONCE) break;
      end += 1;
    }
    const strokes: Stroke[] = [];
    let mask = 0;
    for (let index = first; index < end; index += 1) {
      const one = sounding[index];
      if (!one) continue;
      strokes.push(one.stroke);
      mask |= LIMB_BITS[one.stroke.limb];
    }
    const limbs = LIMB_SETS[mask] ?? [];
    found.push({ at: head.stroke.at, soundsTicks, ms, strokes, limbs, mask });
    first = end;
  }
  return found;
}

/** From one instant to the next in the chain, over the seam where the next is no later; in ms. */
export function gapMsBetween(
  from: Pick<Instant, 'soundsTicks' | 'ms'>,
  to: Pick<Instant, 'soundsTicks' | 'ms'>,
  exercise: Exercise,
  tempo: Tempo,
): number {
  const ticks = to.soundsTicks - from.soundsTicks;
  const later = ticks > 0 || (ticks === 0 && to.ms > from.ms);
  const gap = later ? ticks : ticks + exercise.cycleTicks;
  return Math.max(0, ticksToSeconds(gap, tempo) * 1000 + to.ms - from.ms);
}

/** One stroke or grace note of one limb. */
export interface Movement {
  readonly stroke: Stroke;
  readonly soundsTicks: number;
  readonly ms: number;
}

const MOVEMENTS = new WeakMap<Exercise, Readonly<Record<Limb, readonly Movement[]>>>();

/** What one limb does over the cycle, in order of time: `momentsOf`, a limb’s share. */
export function movementsOf(exercise: Exercise, limb: Limb): readonly Movement[] {
  let found = MOVEMENTS.get(exercise);
  if (!found) {
    const made: Record<Limb, Movement[]> = { RH: [], LH: [], RF: [], LF: [] };
    for (const { soundsTicks, ms, strokes } of momentsOf(exercise)) {
      for (const stroke of strokes) made[stroke.limb].push({ stroke, soundsTicks, ms });
    }
    found = made;
    MOVEMENTS.set(exercise, found);
  }
  return found[limb];
}

/** A bit for each limb. */
export const LIMB_BITS: Readonly<Record<Limb, number>> = { RH: 1, LH: 2, RF: 4, LF: 8 };

/** Every set of limbs by its bits, in limb order. */
const LIMB_SETS: readonly (readonly Limb[])[] = Array.from({ length: 16 }, (_, mask) =>
  LIMBS.filter((limb) => (mask & LIMB_BITS[limb]) !== 0),
);

const BY_LIMB = new WeakMap<Exercise, Readonly<Record<Limb, readonly Stroke[]>>>();

/** The written strokes of one limb over the cycle, in the order in which they sound. */
export function strokesOf(exercise: Exercise, limb: Limb): readonly Stroke[] {
  let found = BY_LIMB.get(exercise);
  if (!found) {
    const made: Record<Limb, Stroke[]> = { RH: [], LH: [], RF: [], LF: [] };
    for (const { strokes } of instantsOf(exercise)) {
      for (const stroke of strokes) made[stroke.limb].push(stroke);
    }
    found = made;
    BY_LIMB.set(exercise, found);
  }
  return found[limb];
}
