import { LIMBS, type Limb } from '../kit';
import type { Exercise } from '../recipe';
import { gcd, tempoBeatTicks, type Tempo } from '../time';
import { instantsOf, LIMB_BITS } from './instants';

/** A pulse that one limb keeps against the meter's own. */
export interface FeltPulse {
  readonly limb: Limb;
  /** Felt beats to real ones: 3 to 2. As many felt bars as the first are the second in real bars. */
  readonly ratio: readonly [number, number];
  readonly bpm: number;
}

/** Limbs that keep an even pulse of another tempo through the whole cycle. A subdivision of the beat is
 * none (plain triplets are triplets), nor are beats of the meter, all of them or one in two, four …, nor
 * one note a bar.
 * @example every 2nd of 8th triplets at 100 // => 3 to 2, felt as 150 */
export function feltPulses(exercise: Exercise, tempo: Tempo): readonly FeltPulse[] {
  const beat = tempoBeatTicks(exercise.meter);
  return LIMBS.flatMap((limb): FeltPulse[] => {
    const gap = evenGap(exercise, limb);
    if (gap === null) return [];
    const part = gcd(beat, gap);
    const ratio = [beat / part, gap / part] as const;
    const ofMeter = ratio[1] === 1 || ratio.every(isPowerOfTwo) || gap % exercise.barTicks === 0;
    if (ofMeter) return [];
    return [{ limb, ratio, bpm: (tempo.bpm * ratio[0]) / ratio[1] }];
  });
}

/** Ticks from each stroke of a limb to the next as they sound, where all are alike; else null. */
function evenGap(exercise: Exercise, limb: Limb): number | null {
  const bit = LIMB_BITS[limb];
  const instants = instantsOf(exercise);
  let count = 0;
  for (const { mask } of instants) if ((mask & bit) !== 0) count += 1;
  const gap = exercise.cycleTicks / count;
  if (count < 2 || !Number.isInteger(gap)) return null;
  let next = -1;
  for (const { mask, soundsTicks } of instants) {
    if ((mask & bit) === 0) continue;
    if (next >= 0 && Math.abs(soundsTicks - next) >= 1) return null;
    next = soundsTicks + gap;
  }
  return gap;
}

function isPowerOfTwo(count: number): boolean {
  return Number.isInteger(Math.log2(count));
}
