import { LIMBS, VOICE_IDS, type Limb, type VoiceId } from '../kit';
import { figureOf, makeStroke, type Stroke } from '../pattern';
import { soundingLength, soundsAt, type Exercise } from '../recipe';
import { ticksToSeconds, wrap, type Tempo, type Tick } from '../time';
import { once, onceAt } from './keep';

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

/** A bit for each limb. */
export const LIMB_BITS: Readonly<Record<Limb, number>> = { RH: 1, LH: 2, RF: 4, LF: 8 };

/** Every set of limbs by its bits, in limb order. */
export const LIMB_SETS: readonly (readonly Limb[])[] = Array.from({ length: 16 }, (_, mask) =>
  LIMBS.filter((limb) => (mask & LIMB_BITS[limb]) !== 0),
);

/** One movement of a limb, with where it sounds. */
interface Sounding {
  readonly stroke: Stroke;
  readonly soundsTicks: number;
  readonly ms: number;
}

/** The written strokes as a chain of instants over one cycle, in the order in which they sound. */
export const instantsOf = once((exercise): readonly Instant[] =>
  exercise.feel.kind === 'swung'
    ? group(heard(exercise), isAtOnce)
    : groupWritten(exercise.strokes),
);

/** All that limbs do as a chain: the strokes, and the grace notes, diddles and rolls on them, each as
 * strokes of their own. The same as `instantsOf` where nothing is ornamented.
 * @param tempo decides what comes first where grace notes reach back behind a note before; where there is
 * none, they do not reach so far */
export function momentsOf(exercise: Exercise, tempo: Tempo | null): readonly Instant[] {
  if (!isOrnamented(exercise)) return instantsOf(exercise);
  return tempo ? momentsAt(exercise, tempo) : momentsAsWritten(exercise);
}

const momentsAsWritten = once((exercise): readonly Instant[] =>
  group(movements(exercise).sort(inOrder), isAtOnce),
);

const momentsAt = onceAt((exercise, tempo): readonly Instant[] => {
  const cycleMs = ticksToSeconds(exercise.cycleTicks, tempo) * 1000;
  const all = movements(exercise);
  const msOf = ({ soundsTicks, ms }: Sounds) => ticksToSeconds(soundsTicks, tempo) * 1000 + ms;
  const latest = Math.max(...all.map(msOf));
  // Before the first note is the end of the cycle: there they may reach back behind the last one.
  const timeOf = (one: Sounds) => {
    const at = msOf(one);
    return at < 0 && at + cycleMs <= latest + AT_ONCE_MS ? at + cycleMs : at;
  };
  const timed = all.map((one) => ({ ...one, time: timeOf(one) })).sort((a, b) => a.time - b.time);
  return group(timed, (one, next) => next.time - one.time <= AT_ONCE_MS);
});

/** Whether grace notes, diddles or rolls make more strokes than are written. */
const isOrnamented = once(({ strokes }): boolean =>
  strokes.some((stroke) => stroke.ornament !== undefined),
);

function heard(exercise: Exercise): readonly Sounding[] {
  return exercise.strokes
    .map((stroke) => ({ stroke, soundsTicks: soundsAt(stroke, exercise), ms: 0 }))
    .sort(inOrder);
}

function movements(exercise: Exercise): Sounding[] {
  const found: Sounding[] = [];
  for (const stroke of exercise.strokes) {
    const soundsTicks = soundsAt(stroke, exercise);
    const lasts = soundingLength(stroke, exercise);
    for (const { kind, limb, share, ms } of figureOf(stroke)) {
      const dynamic = kind === 'grace' ? 'ghost' : stroke.dynamic;
      const made = makeStroke({ ...stroke, ornament: undefined, limb, dynamic });
      found.push({ stroke: made, soundsTicks: soundsTicks + share * lasts, ms });
    }
  }
  return found;
}

function inOrder(a: Sounding, b: Sounding): number {
  return a.soundsTicks - b.soundsTicks || a.ms - b.ms;
}

/** Nearer than this is at once; in ticks, far below what is heard. */
const AT_ONCE = 1e-3;

const AT_ONCE_MS = 1e-6;

function isAtOnce(one: Sounding, next: Sounding): boolean {
  return next.ms === one.ms && next.soundsTicks - one.soundsTicks <= AT_ONCE;
}

function group<One extends Sounding>(
  sounding: readonly One[],
  isSame: (one: One, next: One) => boolean,
): readonly Instant[] {
  const found: Instant[] = [];
  let strokes: Stroke[] = [];
  sounding.forEach((one, index) => {
    const { stroke, soundsTicks, ms } = one;
    strokes.push(stroke);
    const next = sounding[index + 1];
    if (next && isSame(one, next)) return;
    found.push(instant(strokes, soundsTicks, ms));
    strokes = [];
  });
  return found;
}

function groupWritten(strokes: readonly Stroke[]): readonly Instant[] {
  const found: Instant[] = [];
  for (let first = 0; first < strokes.length;) {
    const at = strokes[first]?.at;
    let end = first + 1;
    while (end < strokes.length && strokes[end]?.at === at) end += 1;
    found.push(instant(strokes.slice(first, end), at ?? 0, 0));
    first = end;
  }
  return found;
}

function instant(strokes: readonly Stroke[], soundsTicks: number, ms: number): Instant {
  let mask = 0;
  for (const { limb } of strokes) mask |= LIMB_BITS[limb];
  const at = strokes[0]?.at ?? (0 as Tick);
  return { at, soundsTicks, ms, strokes, limbs: LIMB_SETS[mask] ?? [], mask };
}

/** Two limbs: instants that both play, and that one of them plays without the other. */
export interface PairCount {
  readonly limbs: readonly [Limb, Limb];
  readonly both: number;
  readonly first: number;
  readonly second: number;
}

const PAIRS: readonly (readonly [Limb, Limb])[] = LIMBS.flatMap((one, index) =>
  LIMBS.slice(index + 1).map((other) => [one, other] as const),
);

/** Every pair of limbs, in limb order. */
export const pairCounts = once((exercise): readonly PairCount[] => {
  const counts = new Array<number>(16).fill(0);
  for (const { mask } of instantsOf(exercise)) counts[mask] = (counts[mask] ?? 0) + 1;
  return PAIRS.map((limbs) => {
    const [one, other] = [LIMB_BITS[limbs[0]], LIMB_BITS[limbs[1]]];
    let [both, first, second] = [0, 0, 0];
    for (let mask = 1; mask < 16; mask += 1) {
      const count = counts[mask] ?? 0;
      if ((mask & one) === 0) second += (mask & other) === 0 ? 0 : count;
      else if ((mask & other) === 0) first += count;
      else both += count;
    }
    return { limbs, both, first, second };
  });
});

const VOICE_BITS = new Map(VOICE_IDS.map((id, index) => [id, 1 << index] as const));

/** A bit for each of these voices. */
export function voiceBits(ids: readonly VoiceId[]): number {
  return ids.reduce((bits, id) => bits | (VOICE_BITS.get(id) ?? 0), 0);
}

/** A bit for each voice that sounds. */
export const soundingVoices = once(({ strokes }): number => {
  let bits = 0;
  for (const { voice } of strokes) bits |= VOICE_BITS.get(voice) ?? 0;
  return bits;
});

/** Where a thing sounds. */
type Sounds = Pick<Instant, 'soundsTicks' | 'ms'>;

/** From one instant to the next in the chain, over the seam where the next is no later; in ms. */
export function gapMsBetween(from: Sounds, to: Sounds, exercise: Exercise, tempo: Tempo): number {
  const ticks = to.soundsTicks - from.soundsTicks;
  if (ticks > 0 && from.ms === 0 && to.ms === 0) return ticksToSeconds(ticks, tempo) * 1000;
  const apart = ticksToSeconds(ticks, tempo) * 1000 + to.ms - from.ms;
  const cycle = ticksToSeconds(exercise.cycleTicks, tempo) * 1000;
  const later = wrap(apart, cycle);
  return later > AT_ONCE_MS ? later : later + cycle;
}

/** One stroke or grace note of one limb. */
export interface Movement extends Sounds {
  readonly stroke: Stroke;
}

type OfLimbs<T> = Readonly<Record<Limb, readonly T[]>>;

const movementsAsWritten = once((exercise) => byLimb(momentsOf(exercise, null)));

const movementsAt = onceAt((exercise, tempo) => byLimb(momentsOf(exercise, tempo)));

function byLimb(moments: readonly Instant[]): OfLimbs<Movement> {
  const made: Record<Limb, Movement[]> = { RH: [], LH: [], RF: [], LF: [] };
  for (const { soundsTicks, ms, strokes } of moments) {
    for (const stroke of strokes) made[stroke.limb].push({ stroke, soundsTicks, ms });
  }
  return made;
}

/** What one limb does over the cycle, in order of time: `momentsOf`, a limb’s share. */
export function movementsOf(
  exercise: Exercise,
  limb: Limb,
  tempo: Tempo | null,
): readonly Movement[] {
  const isTimed = tempo !== null && isOrnamented(exercise);
  return (isTimed ? movementsAt(exercise, tempo) : movementsAsWritten(exercise))[limb];
}

const strokesOfLimbs = once((exercise): Readonly<Record<Limb, readonly Stroke[]>> => {
  const made: Record<Limb, Stroke[]> = { RH: [], LH: [], RF: [], LF: [] };
  if (exercise.feel.kind !== 'swung') {
    for (const stroke of exercise.strokes) made[stroke.limb].push(stroke);
    return made;
  }
  for (const { strokes } of instantsOf(exercise)) {
    for (const stroke of strokes) made[stroke.limb].push(stroke);
  }
  return made;
});

/** The written strokes of one limb over the cycle, in the order in which they sound. */
export function strokesOf(exercise: Exercise, limb: Limb): readonly Stroke[] {
  return strokesOfLimbs(exercise)[limb];
}
