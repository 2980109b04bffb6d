import { LIMBS, type Limb } from '../kit';
import type { Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import { beatPlaces, beats, unitTicks } from '../time';
import { instantsOf, LIMB_BITS } from './instants';

export const HAND_BITS = LIMB_BITS.RH | LIMB_BITS.LH;
export const FOOT_BITS = LIMB_BITS.RF | LIMB_BITS.LF;

const HANDS = [LIMB_BITS.RH, LIMB_BITS.LH];

/** A limb alone, both hands, both feet. */
const FLOWS = [...LIMBS.map((limb) => LIMB_BITS[limb]), HAND_BITS, FOOT_BITS];

/** Limbs whose flow goes through on all beats in equal steps: a limb alone, two hands or two feet that never meet,
 * or all limbs of a linear pattern that is one part. */
export function steadyLimbs(exercise: Exercise, limbs: readonly Limb[]): readonly Limb[] {
  const all = limbs.reduce((bits, limb) => bits | LIMB_BITS[limb], 0);
  let steady = 0;
  for (const flow of FLOWS) {
    if ((all & flow) === flow && isSteady(exercise, flow)) steady |= flow;
  }
  const parts = exercise.layers.filter(({ strokes }) => strokes.length > 0);
  if (limbs.length > 2 && parts.length === 1 && isSteady(exercise, all)) steady = all;
  return limbs.filter((limb) => (steady & LIMB_BITS[limb]) !== 0);
}

/** @param flow bits of the limbs that share it */
function isSteady(exercise: Exercise, flow: number): boolean {
  const instants = instantsOf(exercise);
  let count = 0;
  for (const { mask } of instants) if ((mask & flow) !== 0) count += 1;
  const step = exercise.cycleTicks / count;
  if (beats(exercise.meter).some(({ ticks }) => ticks % step !== 0)) return false;
  let next = 0;
  for (const { at, mask } of instants) {
    const mine = mask & flow;
    if (mine === 0) continue;
    // Two at once are no one flow.
    if (at !== next || (mine & (mine - 1)) !== 0) return false;
    next += step;
  }
  return true;
}

/** Different distances from one stroke of a limb to its next, over the seam too. */
export function distancesOf(
  strokes: readonly Pick<Stroke, 'at'>[],
  { cycleTicks }: Exercise,
): number {
  const start = (strokes[0]?.at ?? 0) + cycleTicks;
  const found: number[] = [];
  strokes.forEach(({ at }, index) => {
    const distance = (strokes[index + 1]?.at ?? start) - at;
    if (distance > 0 && !found.includes(distance)) found.push(distance);
  });
  return found.length;
}

/** Hands that play twice in a row with nothing in between, nearer than half a counted note: how many, and
 * how many of them no felt beat follows. A hand that goes through by itself plays no doubles. */
export function doublesOf(exercise: Exercise): { readonly early: number; readonly all: number } {
  const moments = instantsOf(exercise);
  const { barTicks, cycleTicks, meter } = exercise;
  const onBeats = beatPlaces(meter);
  const alone = HANDS.filter((hand) => isSteady(exercise, hand)).reduce(
    (bits, hand) => bits | hand,
    0,
  );
  let [early, all] = [0, 0];
  moments.forEach((now, index) => {
    const before = moments[(index + moments.length - 1) % moments.length];
    const next = moments[(index + 1) % moments.length];
    if (!before || !next || before === now || now.mask !== before.mask) return;
    if (now.limbs.length !== 1 || (now.mask & HAND_BITS & ~alone) === 0) return;
    const gap = now.at - before.at;
    if ((gap <= 0 ? gap + cycleTicks : gap) >= unitTicks(meter) / 2) return;
    all += 1;
    if (next.mask === now.mask || !onBeats.has(next.at % barTicks)) early += 1;
  });
  return { early, all };
}
