import { LIMBS, isHand, type Limb } from '../kit';
import type { Ornament } from '../pattern';
import type { Exercise } from '../recipe';
import { onBeat, TICKS_PER_QUARTER, type Tempo } from '../time';
import { instantsOf, strokesOf } from './instants';
import { limbLoads } from './seam';

/** One part of what makes an exercise hard, in points that add up; `says` is the fact behind it. */
export interface DifficultyPart {
  readonly part:
    | 'limbs'
    | 'combinations'
    | 'changes'
    | 'off the beat'
    | 'grids'
    | 'speed'
    | 'feet'
    | 'ornaments';
  readonly points: number;
  readonly says: string;
}

/** Points of each part per unit, weighed so that orderings of common practice hold (no source):
 * hats alone below hats with one more limb below all; an extra bass drum under a hat below one
 * between hats; a straight ride below one with a skip note. */
const WEIGHT = { limb: 1, combination: 0.6, change: 0.25, offBeat: 2, grid: 1, feet: 0.5 } as const;

/** Strokes of one limb nearer than this begin to cost; in ms, common practice, no source. */
const EASY_GAP_MS = { hand: 250, foot: 350 } as const;

/** How hard an exercise is at a tempo, explained part by part. */
export function difficultyParts(exercise: Exercise, tempo: Tempo): readonly DifficultyPart[] {
  const limbs = LIMBS.filter((limb) => strokesOf(exercise, limb).length > 0);
  const instants = instantsOf(exercise);
  const masks = new Set<number>();
  const turns = new Set<number>();
  instants.forEach(({ mask }, index) => {
    const next = instants[(index + 1) % instants.length]?.mask ?? mask;
    masks.add(mask);
    if (next !== mask) turns.add(mask * 16 + next);
  });
  const combinations = masks.size;
  const changes = turns.size;
  const off = offBeatShare(exercise);
  const grids = gridsOf(exercise);
  const feet = footRuns(exercise);
  const ornaments = ornamentsOf(exercise);
  const fast = limbLoads(exercise, tempo).map(({ limb, shortestGapMs }) => {
    const easy = isHand(limb) ? EASY_GAP_MS.hand : EASY_GAP_MS.foot;
    return { limb, ms: Math.round(shortestGapMs), points: Math.max(0, easy / shortestGapMs - 1) };
  });
  const fastest = fast.reduce((a, b) => (b.points > a.points ? b : a), {
    limb: limbs[0] ?? 'RH',
    ms: 0,
    points: 0,
  });
  const all: DifficultyPart[] = [
    part('limbs', limbs.length * WEIGHT.limb, `${limbs.length} of four`),
    part('combinations', combinations * WEIGHT.combination, `${combinations} different`),
    part('changes', changes * WEIGHT.change, `${changes} different, one to the next`),
    part('off the beat', off * WEIGHT.offBeat, `${Math.round(off * 100)} % of what sounds`),
    part('grids', (grids - 1) * WEIGHT.grid, `${grids} within the cycle`),
    part('speed', fastest.points, `${fastest.limb}, ${fastest.ms} ms`),
    part('feet', feet * WEIGHT.feet, `${feet} in a row by one foot`),
    part('ornaments', ornamentPoints(ornaments), ornaments.join(', ')),
  ];
  return all.filter((one) => one.points > 0);
}

/** A skeleton is easier than with diddles, diddles are easier than grace notes; common practice,
 * no source. */
const ORNAMENT: Readonly<Record<Ornament, number>> = {
  diddle: 0.6,
  roll: 0.8,
  buzz: 0.8,
  flam: 1,
  drag: 1.2,
  ruff: 1.4,
};

function ornamentsOf(exercise: Exercise): readonly Ornament[] {
  const found = new Set<Ornament>();
  for (const { ornament } of exercise.strokes) if (ornament) found.add(ornament);
  return [...found];
}

function ornamentPoints(ornaments: readonly Ornament[]): number {
  return ornaments.reduce((sum, one) => sum + ORNAMENT[one], 0);
}

function part(name: DifficultyPart['part'], points: number, says: string): DifficultyPart {
  return { part: name, points, says };
}

/** The parts added up, for putting exercises in order. */
export function difficultyPoints(parts: readonly DifficultyPart[]): number {
  return parts.reduce((sum, one) => sum + one.points, 0);
}

/** Share of the instants that lie on no felt beat, from 0 to 1. */
function offBeatShare(exercise: Exercise): number {
  const instants = instantsOf(exercise);
  const off = instants.filter(({ at }) => !onBeat(at, exercise.meter)).length;
  return instants.length === 0 ? 0 : off / instants.length;
}

/** How many kinds of grid the beats of the cycle need: binary, triplet, five, seven. */
function gridsOf(exercise: Exercise): number {
  const kinds = new Set<string>();
  for (const { at } of exercise.strokes) {
    const within = at % TICKS_PER_QUARTER;
    if (within !== 0) kinds.add(gridKind(within));
  }
  return Math.max(1, kinds.size);
}

function gridKind(within: number): string {
  if (within % (TICKS_PER_QUARTER / 64) === 0) return 'binary';
  if (within % (TICKS_PER_QUARTER / 36) === 0) return 'triplet';
  return within % (TICKS_PER_QUARTER / 5) === 0 ? 'five' : 'seven';
}

/** Longest run of one foot, beyond the first stroke, with nothing between them. */
function footRuns(exercise: Exercise): number {
  const instants = instantsOf(exercise);
  let best = 0;
  let run = 0;
  let last: Limb | null = null;
  for (let step = 0; step < instants.length * 2; step += 1) {
    const strokes = instants[step % instants.length]?.strokes ?? [];
    const limb = strokes.length === 1 ? strokes[0]?.limb : undefined;
    const only = limb && !isHand(limb) ? limb : null;
    run = only !== null && only === last ? run + 1 : 0;
    last = only;
    best = Math.max(best, Math.min(run, instants.length));
  }
  return best;
}
