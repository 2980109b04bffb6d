import { LIMBS, isHand, voice, type Limb, type VoiceId } from '../kit';
import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tempo, type Tick } from '../time';
import { strokesOf } from './instants';

/** Where a hand has to get from one surface to another, and how long it has. */
export interface Travel {
  readonly limb: Limb;
  /** Moves in one cycle, the seam included. */
  readonly moves: number;
  /** The shortest of them. */
  readonly shortest: {
    readonly at: Tick;
    readonly from: VoiceId;
    readonly to: VoiceId;
    readonly ms: number;
  };
}

/** @returns hands that change surface, right hand first
 * @example ride on beat 1, snare on beat 3, at 70 // => 1714 ms */
export function travelOf(exercise: Exercise, tempo: Tempo): readonly Travel[] {
  return LIMBS.filter(isHand).flatMap((limb): Travel[] => {
    const strokes = strokesOf(exercise, limb);
    const moves = strokes.flatMap((stroke, index) => {
      const next = strokes[index + 1] ?? strokes[0];
      if (!next || voice(next.voice).surface === voice(stroke.voice).surface) return [];
      const ticks = next.at - stroke.at + (next.at <= stroke.at ? exercise.cycleTicks : 0);
      const ms = ticksToSeconds(ticks, tempo) * 1000;
      return [{ at: stroke.at, from: stroke.voice, to: next.voice, ms }];
    });
    const [first, ...rest] = moves;
    if (!first) return [];
    const shortest = rest.reduce((best, one) => (one.ms < best.ms ? one : best), first);
    return [{ limb, moves: moves.length, shortest }];
  });
}
