import { LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { gcd, tempoBeatTicks, type Tempo } from '../time';
import { strokesOf } from './instants';

/** A pulse that one limb keeps against the meter's own. */
export interface FeltPulse {
  readonly limb: Limb;
  /** Felt beats to real ones: 3 to 2. As many felt bars as the first are the second in real bars. */
  readonly ratio: readonly [number, number];
  readonly bpm: number;
}

/** Limbs that keep an even pulse through the whole cycle that is no beat, half, double or quarter
 * of one.
 * @example every 2nd of 8th triplets at 100 // => 3 to 2, felt as 150 */
export function feltPulses(exercise: Exercise, tempo: Tempo): readonly FeltPulse[] {
  const beat = tempoBeatTicks(exercise.meter);
  return LIMBS.flatMap((limb): FeltPulse[] => {
    const mine = strokesOf(exercise, limb);
    const places = [...new Set(mine.map((stroke) => stroke.at as number))];
    const gap = exercise.cycleTicks / places.length;
    const even = places.every((at, index) => at === (places[0] ?? 0) + index * gap);
    if (places.length < 2 || !even) return [];
    const part = gcd(beat, gap);
    const ratio = [beat / part, gap / part] as const;
    if (ratio.every(isPowerOfTwo)) return [];
    return [{ limb, ratio, bpm: (tempo.bpm * ratio[0]) / ratio[1] }];
  });
}

function isPowerOfTwo(count: number): boolean {
  return Number.isInteger(Math.log2(count));
}
