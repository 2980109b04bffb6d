import { LIMBS, isHand, voice, type Limb, type VoiceId } from '../kit';
import type { Exercise } from '../recipe';
import type { Tempo, Tick } from '../time';
import { gapMsBetween, movementsOf } from './instants';

/** Where a hand has to get from one surface to another, and how long it has. */
export interface Travel {
  readonly limb: Limb;
  /** Moves in one cycle, the seam included. */
  readonly moves: number;
  /** Different ones, from which surface to which. */
  readonly ways: number;
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
    const mine = movementsOf(exercise, limb);
    const moves = mine.flatMap((one, index) => {
      const next = mine[index + 1] ?? mine[0];
      const [from, to] = [one.stroke.voice, next?.stroke.voice ?? one.stroke.voice];
      if (!next || voice(to).surface === voice(from).surface) return [];
      return [{ at: one.stroke.at, from, to, ms: gapMsBetween(one, next, exercise, tempo) }];
    });
    const [first, ...rest] = moves;
    if (!first) return [];
    const shortest = rest.reduce((best, one) => (one.ms < best.ms ? one : best), first);
    const surfaces = moves.map((one) => `${voice(one.from).surface} ${voice(one.to).surface}`);
    return [{ limb, moves: moves.length, ways: new Set(surfaces).size, shortest }];
  });
}
