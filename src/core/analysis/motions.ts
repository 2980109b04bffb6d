import type { Limb } from '../kit';
import { DYNAMICS, type Dynamic } from '../pattern';
import type { Exercise } from '../recipe';
import type { Tempo, Tick } from '../time';
import { movementsOf, type Movement } from './instants';

/** How a hand moves in a stroke: where it starts, and where it has to be for its next one. */
type Motion = 'full' | 'down' | 'tap' | 'up';

export interface MotionAt {
  /** Where the stroke is written, of which this is a part. */
  readonly at: Tick;
  readonly motion: Motion;
  readonly dynamic: Dynamic;
}

/** Stroke motions of one hand over the cycle, from each level to the same hand's next: loud to
 * loud full, loud to soft down, soft to soft tap, soft to loud up; the last one looks across the
 * seam. Only the hand's own loudest level is loud; a hand with one level only plays full strokes, or
 * taps when it is soft throughout. Grace notes and the strokes of diddles and rolls count.
 * @returns in order of time; empty when the hand rests
 * @example LRLR at p p p f: left // => tap tap; right // => up down */
export function motionsOf(
  exercise: Exercise,
  limb: Limb,
  tempo: Tempo | null = null,
): readonly MotionAt[] {
  const mine = movementsOf(exercise, limb, tempo);
  const levels = mine.map(({ stroke }) => DYNAMICS.indexOf(stroke.dynamic));
  let top = -1;
  let least: number = DYNAMICS.length;
  mine.forEach((one, index) => {
    if (isGrace(one)) return;
    top = Math.max(top, levels[index] ?? 0);
    least = Math.min(least, levels[index] ?? 0);
  });
  const loudest = least < top ? top : DYNAMICS.indexOf(SOFTEST_FULL);
  const loud = mine.map((one, index) => !isGrace(one) && (levels[index] ?? 0) >= loudest);
  return mine.map(({ stroke: { at, dynamic } }, index) => {
    const now = loud[index] ?? false;
    const next = loud[(index + 1) % loud.length] ?? false;
    return { at, dynamic, motion: now ? (next ? 'full' : 'down') : next ? 'up' : 'tap' };
  });
}

/** Grace notes are soft, and no level of the hand. */
function isGrace({ ms }: Movement): boolean {
  return ms < 0;
}

/** A hand that plays all at this level, or louder, plays full strokes. */
const SOFTEST_FULL: Dynamic = 'normal';
