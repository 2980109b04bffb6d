import { LIMBS, isHand, voice, type Limb, type VoiceId } from '../kit';
import type { Tick } from '../time';
import { gapMsBetween, movementsOf } from './instants';
import { onceAt } from './keep';

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
export const travelOf = onceAt((exercise, tempo): readonly Travel[] => {
  const found: Travel[] = [];
  for (const limb of HANDS) {
    const mine = movementsOf(exercise, limb, tempo);
    const ways = new Set<string>();
    let moves = 0;
    let shortest: Travel['shortest'] | null = null;
    for (let index = 0; index < mine.length; index += 1) {
      const [one, next] = [mine[index], mine[index + 1] ?? mine[0]];
      if (!one || !next || one.stroke.voice === next.stroke.voice) continue;
      const [from, to] = [one.stroke.voice, next.stroke.voice];
      if (voice(to).surface === voice(from).surface) continue;
      moves += 1;
      ways.add(`${voice(from).surface} ${voice(to).surface}`);
      const ms = gapMsBetween(one, next, exercise, tempo);
      if (!shortest || ms < shortest.ms) shortest = { at: one.stroke.at, from, to, ms };
    }
    if (shortest) found.push({ limb, moves, ways: ways.size, shortest });
  }
  return found;
});

const HANDS = LIMBS.filter(isHand);
