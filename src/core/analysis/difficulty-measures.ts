import { isHand, type Limb } from '../kit';
import type { Dynamic, Ornament, Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import { beatIndexAt, beatPlaces, beats, lcm, TICKS_PER_QUARTER, unitTicks } from '../time';
import { instantsOf, LIMB_BITS, momentsOf, strokesOf, type Instant } from './instants';

import { distancesOf, FOOT_BITS, HAND_BITS } from './flow';

import { smallestPart } from './smallest-part';

import type { LimbDynamics, OffBeatShare } from './difficulty-facts';

/** More ornaments are no harder: they come again. */
const MOST_ORNAMENTED = 8;

/** Beats until all comes again; longer is no harder to remember. */
const LONGEST_ROUND = 32;

/** A longer run of feet is no harder: it is a matter of stamina. */
const LONGEST_RUN = 8;

const LOUDNESS: Readonly<Record<Dynamic, number>> = { ghost: 0, tap: 1, normal: 2, accent: 3 };

/** The loudest strokes of a limb that plays softer ones, too; none where it plays at one level. */
export function dynamicsOf(exercise: Exercise, limb: Limb): LimbDynamics[] {
  const strokes = strokesOf(exercise, limb);
  const [first] = strokes;
  if (strokes.every(({ dynamic }) => dynamic === first?.dynamic)) return [];
  const most = Math.max(...strokes.map(({ dynamic }) => LOUDNESS[dynamic]));
  const loud = strokes.filter(({ dynamic }) => LOUDNESS[dynamic] === most);
  return [{ ...offBeatShare(loud, limb, exercise), kinds: distancesOf(loud, exercise) }];
}

/** In how many ways a limb strikes. */
export function texturesOf(exercise: Exercise, limb: Limb): number {
  const strokes = strokesOf(exercise, limb);
  if (strokes.every(({ texture }) => texture === undefined)) return 1;
  return new Set(strokes.map(({ texture }) => texture)).size;
}

/** Ornaments of the smallest part. */
export function ornamentedIn(exercise: Exercise): number {
  let all = 0;
  for (const { ornament } of exercise.strokes) if (ornament) all += 1;
  if (all === 0) return 0;
  const { cycleTicks } = exercise;
  const parts = cycleTicks / (smallestPart(exercise)?.ticks ?? cycleTicks);
  return Math.min(MOST_ORNAMENTED, Math.round(all / parts));
}

/** Felt beats until all comes again at the same place of a bar. */
export function roundBeats(exercise: Exercise): number {
  const { meter, barTicks, cycleTicks } = exercise;
  const part = smallestPart(exercise)?.ticks ?? cycleTicks;
  return Math.min(LONGEST_ROUND, (beats(meter).length * lcm(part, barTicks)) / barTicks);
}

/** Different sets of limbs, steps between them, and steps between hands alone and feet alone. */
export function stepsOf(exercise: Exercise) {
  const instants = instantsOf(exercise);
  const steps = new Uint16Array(16);
  let sets = 0;
  let mask = instants.at(-1)?.mask ?? 0;
  for (const { mask: next } of instants) {
    sets |= 1 << next;
    if (next !== mask) steps[mask] = (steps[mask] ?? 0) | (1 << next);
    mask = next;
  }
  let [changes, takeovers] = [0, 0];
  steps.forEach((to, from) => {
    changes += bitCount(to);
    const others =
      (from & FOOT_BITS) === 0 ? FEET_ALONE : (from & HAND_BITS) === 0 ? HANDS_ALONE : 0;
    takeovers += bitCount(to & others);
  });
  return { combinations: bitCount(sets), changes, takeovers };
}

/** A bit for each set of hands alone, and of feet alone. */
const HANDS_ALONE = setsWithin(HAND_BITS);
const FEET_ALONE = setsWithin(FOOT_BITS);

function setsWithin(limbs: number): number {
  let bits = 0;
  for (let mask = 1; mask < 16; mask += 1) if ((mask & ~limbs) === 0) bits |= 1 << mask;
  return bits;
}

function bitCount(bits: number): number {
  let count = 0;
  for (let rest = bits; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}

/** Off the beat, of all; on a half counts half. */
export function shareOf({ halves, between, all }: OffBeatShare): number {
  return (halves / 2 + between) / all;
}

export function offBeatShare(
  strokes: readonly Pick<Stroke, 'at'>[],
  limb: Limb,
  { meter, barTicks }: Exercise,
): OffBeatShare {
  const half = unitTicks(meter) / 2;
  const onBeats = beatPlaces(meter);
  let [halves, between] = [0, 0];
  for (const { at } of strokes) {
    if (at % half !== 0) between += 1;
    else if (!onBeats.has(at % barTicks)) halves += 1;
  }
  return { limb, halves, between, all: strokes.length };
}

/** Notes of a limb off the beat that last over the next one. */
export function heldOver(exercise: Exercise, limb: Limb): number {
  const { meter, barTicks, cycleTicks } = exercise;
  const felt = beats(meter);
  const onBeats = beatPlaces(meter);
  const strokes = strokesOf(exercise, limb);
  const start = strokes[0]?.at ?? 0;
  let held = 0;
  strokes.forEach(({ at }, index) => {
    const inBar = at % barTicks;
    if (onBeats.has(inBar)) return;
    const beat = felt[beatIndexAt(meter, inBar)];
    if (!beat) return;
    const next = strokes[index + 1]?.at ?? start + cycleTicks;
    if (next > at - inBar + beat.at + beat.ticks) held += 1;
  });
  return held;
}

/** The left side, but for who plays left-handed; one who only leads with the left keeps the feet. */
export function isWeaker(limb: Limb, { kit: { handedness } }: Exercise): boolean {
  const isLeft = limb === 'LH' || limb === 'LF';
  const turned = handedness === 'mirrored' || (handedness === 'left-lead' && isHand(limb));
  return isLeft !== turned;
}

/** A skeleton is easier than with diddles, diddles are easier than grace notes; common practice,
 * no source. */
export const ORNAMENT_POINTS: Readonly<Record<Ornament, number>> = {
  diddle: 0.6,
  roll: 0.8,
  buzz: 0.8,
  flam: 1.2,
  drag: 1.4,
  ruff: 1.6,
  ruff4: 1.8,
};

export function ornamentsOf(exercise: Exercise): readonly Ornament[] {
  const found: Ornament[] = [];
  for (const { ornament } of exercise.strokes) {
    if (ornament && !found.includes(ornament)) found.push(ornament);
  }
  return found;
}

/** How many kinds of grid the beats of the cycle need: binary, triplet, five, seven. */
export function gridsOf(exercise: Exercise): number {
  let kinds = 0;
  for (const { at } of exercise.strokes) {
    const within = at % TICKS_PER_QUARTER;
    if (within !== 0) kinds |= gridKind(within);
  }
  return Math.max(1, bitCount(kinds));
}

function gridKind(within: number): number {
  if (within % (TICKS_PER_QUARTER / 64) === 0) return 1;
  if (within % (TICKS_PER_QUARTER / 36) === 0) return 2;
  return within % (TICKS_PER_QUARTER / 5) === 0 ? 4 : 8;
}

/** Longest run of feet without a hand between them, beyond the first; hands may play along. */
export function feetInARow(exercise: Exercise): number {
  const moments = momentsOf(exercise, null);
  let best = 0;
  let run = 0;
  for (let step = 0; step < moments.length + LONGEST_RUN; step += 1) {
    const now = moments[step % moments.length];
    const before = moments[(step + moments.length - 1) % moments.length];
    const isFoot = now !== undefined && (now.mask & FOOT_BITS) !== 0;
    const follows = isFoot && before && run > 0 && isNear(before, now, exercise);
    run = isFoot ? (follows ? run + 1 : 1) : 0;
    if (run > best) best = run;
  }
  return Math.max(0, Math.min(best, LONGEST_RUN) - 1);
}

/** No further than half a counted note, over the seam too. */
function isNear(one: Instant, next: Instant, { cycleTicks, meter }: Exercise): boolean {
  const ticks = next.soundsTicks - one.soundsTicks;
  return (ticks < 0 || one === next ? ticks + cycleTicks : ticks) <= unitTicks(meter) / 2;
}

/** The feet that the other foot comes straight after. */
export function feetCrossings(exercise: Exercise): readonly Limb[] {
  const moments = momentsOf(exercise, null);
  let [right, left] = [false, false];
  moments.forEach((now, index) => {
    const before = moments[(index + moments.length - 1) % moments.length] ?? now;
    const [from, to] = [before.mask & FOOT_BITS, now.mask & FOOT_BITS];
    if (from === to || !isNear(before, now, exercise)) return;
    right ||= from === LIMB_BITS.RF && to === LIMB_BITS.LF;
    left ||= from === LIMB_BITS.LF && to === LIMB_BITS.RF;
  });
  return [...(right ? (['RF'] as const) : []), ...(left ? (['LF'] as const) : [])];
}
