import { LIMBS, isHand, letterOf, type Limb } from '../kit';
import type { Ornament } from '../pattern';
import type { Exercise } from '../recipe';
import { beats, onBeat, TICKS_PER_QUARTER, unitTicks, type Tempo } from '../time';
import { instantsOf, LIMB_BITS, momentsOf, strokesOf } from './instants';
import { limbLoads } from './seam';
import { syncopationOf } from './syncopation';
import { travelOf } from './travel';

/** One part of what makes an exercise hard: `points` is `count` × `weight`, and the parts add up. All
 * three are rounded to hundredths, so that a sum by hand comes out the same. */
export interface DifficultyPart {
  readonly part:
    | 'limbs'
    | 'combinations'
    | 'changes'
    | 'takeovers'
    | 'notes a beat'
    | 'off the beat'
    | 'syncopation'
    | 'grids'
    | 'speed'
    | 'nearest'
    | 'travel'
    | 'feet alone'
    | 'foot to foot'
    | 'ornaments';
  readonly count: number;
  readonly weight: number;
  readonly points: number;
  /** How the count comes about. */
  readonly says: string;
}

/** Points for each unit that is counted, weighed so that orderings of common practice hold (no source):
 * layers one by one rise; an extra bass drum under a hat is easier than between hats; a straight ride
 * than one with a skip note; foot straight into foot is harder than with a hand between; a phrase off
 * the beat, or a part on another surface, is not easier. */
const WEIGHT = {
  /** Each limb that plays: one more thing to attend to. */
  limb: 1,
  /** Each set of limbs that plays together: a posture to know. */
  combination: 0.6,
  /** Each step from one set to another: fewer than sets, as most come with them. */
  change: 0.25,
  /** Each kind of step from hands alone to feet alone, or back: they do not follow by themselves. */
  takeover: 0.2,
  /** Instants in a felt beat: more to fit in. */
  density: 0.5,
  /** Share of each limb's strokes that lie off the beat: a limb that is never on it is a bit harder than
   * one more limb. */
  offBeat: 1.5,
  /** Levels of the meter that notes last over, a bar: a part against the beat pulls the others along. */
  syncopation: 0.2,
  /** Each kind of subdivision beyond the first: as hard as a limb. */
  grid: 1,
  /** Times the easy number of strokes a second, all limbs together. */
  speed: 1,
  /** How much nearer than easy the nearest strokes of one limb are. */
  nearest: 1,
  /** Each way from one surface to another, and how many of the shortest fit into an easy one. */
  way: 0.3,
  /** Feet in a row without a hand, beyond the first. */
  feetAlone: 0.5,
  /** Right foot straight into left, and the reverse, each once: the hardest of all steps. */
  footToFoot: 1.5,
} as const;

/** Strokes a second that a limb plays with ease; nearer than `1000 ÷` this they begin to cost. In Hz;
 * common practice, no source. */
const EASY_A_SECOND = { hand: 4, foot: 3 } as const;

/** A way to another surface takes so long with ease; ms, common practice, no source. */
const EASY_WAY_MS = 400;

/** A longer run of feet is no harder: it is a matter of stamina. */
const LONGEST_RUN = 8;

function round(value: number): number {
  return Math.round(value * 100) / 100;
}

function part(
  name: DifficultyPart['part'],
  count: number,
  weight: number,
  says: string,
): DifficultyPart {
  const counted = round(count);
  return { part: name, count: counted, weight, points: round(counted * weight), says };
}

/** How hard an exercise is at a tempo, explained part by part. What plays the same scores the same,
 * however often it is repeated. */
export function difficultyParts(exercise: Exercise, tempo: Tempo): readonly DifficultyPart[] {
  const all = [...partsOfShape(exercise), ...partsOfTempo(exercise, tempo)];
  return all.filter((one) => one.points > 0);
}

/** The parts added up, for putting exercises in order. */
export function difficultyPoints(parts: readonly DifficultyPart[]): number {
  return round(parts.reduce((sum, one) => sum + one.points, 0));
}

/** What does not depend on the tempo is worked out once. */
const SHAPES = new WeakMap<Exercise, readonly DifficultyPart[]>();

function partsOfShape(exercise: Exercise): readonly DifficultyPart[] {
  let found = SHAPES.get(exercise);
  if (!found) {
    found = shapeOf(exercise);
    SHAPES.set(exercise, found);
  }
  return found;
}

function shapeOf(exercise: Exercise): readonly DifficultyPart[] {
  const limbs = LIMBS.filter((limb) => strokesOf(exercise, limb).length > 0);
  const instants = instantsOf(exercise);
  const felt = beats(exercise.meter).length * exercise.bars;
  const { sets, steps, takeovers } = stepsOf(exercise);
  const against = syncopationOf(exercise).reduce((sum, one) => sum + one.value, 0);
  const grids = gridsOf(exercise);
  const alone = feetAlone(exercise);
  const crossings = feetCrossings(exercise);
  const ornaments = ornamentsOf(exercise);
  return [
    part('limbs', limbs.length, WEIGHT.limb, `${limbs.map(letterOf).join(' ')}: ${limbs.length}`),
    part('combinations', sets, WEIGHT.combination, `${sets} different`),
    part('changes', steps, WEIGHT.change, `${steps} different, one to the next`),
    part('takeovers', takeovers, WEIGHT.takeover, `${takeovers} between hands and feet`),
    part(
      'notes a beat',
      instants.length / felt,
      WEIGHT.density,
      `${instants.length} instants ÷ ${felt} beats`,
    ),
    offBeat(exercise, limbs),
    part(
      'syncopation',
      against / exercise.bars,
      WEIGHT.syncopation,
      `${against} ÷ ${exercise.bars === 1 ? '1 bar' : `${exercise.bars} bars`}`,
    ),
    part('grids', grids - 1, WEIGHT.grid, `${grids} − 1`),
    part('feet alone', alone, WEIGHT.feetAlone, `${alone} more than one in a row`),
    part('foot to foot', crossings.length, WEIGHT.footToFoot, crossings.join(', ')),
    part('ornaments', ornamentPoints(ornaments), 1, sayOrnaments(ornaments)),
  ];
}

/** Different sets of limbs, steps between them, and steps between hands alone and feet alone. */
function stepsOf(exercise: Exercise) {
  const instants = instantsOf(exercise);
  const hands = LIMB_BITS.RH | LIMB_BITS.LH;
  const kind = (mask: number) => ((mask & hands) === mask ? 'hands' : mask & hands ? '' : 'feet');
  const sets = new Set<number>();
  const turns = new Set<number>();
  const takeovers = new Set<number>();
  instants.forEach(({ mask }, index) => {
    const next = instants[(index + 1) % instants.length]?.mask ?? mask;
    sets.add(mask);
    if (next === mask) return;
    turns.add(mask * 16 + next);
    const [from, to] = [kind(mask), kind(next)];
    if (from !== '' && to !== '' && from !== to) takeovers.add(mask * 16 + next);
  });
  return { sets: sets.size, steps: turns.size, takeovers: takeovers.size };
}

/** Where in the beat each limb's strokes lie: a half of the counted note counts half, anything between it
 * whole; of all its strokes. */
function offBeat(exercise: Exercise, limbs: readonly Limb[]): DifficultyPart {
  const { meter } = exercise;
  const half = unitTicks(meter) / 2;
  const shares = limbs.map((limb) => {
    const strokes = strokesOf(exercise, limb);
    const off = strokes.filter(({ at }) => !onBeat(at, meter));
    const halves = off.filter(({ at }) => at % half === 0).length;
    return { limb, halves, between: off.length - halves, all: strokes.length };
  });
  const sum = shares.reduce(
    (total, { halves, between, all }) => total + (halves / 2 + between) / all,
    0,
  );
  const said = shares
    .filter(({ halves, between }) => halves + between > 0)
    .map(({ limb, halves, between, all }) => {
      const whole = between === 0 ? '' : String(between);
      const atHalf = halves === 0 ? '' : `${halves} on the half × 0.5`;
      return `${letterOf(limb)} (${[atHalf, whole].filter(Boolean).join(' + ')}) ÷ ${all}`;
    });
  return part('off the beat', sum, WEIGHT.offBeat, said.join(' + '));
}

function partsOfTempo(exercise: Exercise, tempo: Tempo): readonly DifficultyPart[] {
  const loads = limbLoads(exercise, tempo).map(({ limb, perSecond, shortestGapMs }) => {
    const easy = isHand(limb) ? EASY_A_SECOND.hand : EASY_A_SECOND.foot;
    return { limb, easy, rate: round(perSecond), ms: Math.max(1, Math.round(shortestGapMs)) };
  });
  const speed = loads.reduce((sum, { rate, easy }) => sum + rate / easy, 0);
  const said = loads.map(({ limb, rate, easy }) => `${letterOf(limb)} ${rate} ÷ ${easy}`);
  return [
    part('speed', speed, WEIGHT.speed, `strokes a second: ${said.join(' + ')}`),
    nearestOf(loads),
    ...waysOf(exercise, tempo),
  ];
}

function nearestOf(
  loads: readonly { readonly limb: Limb; readonly easy: number; readonly ms: number }[],
): DifficultyPart {
  const nearer = loads.map((one) => ({ ...one, easyMs: Math.round(1000 / one.easy) }));
  const excess = (one: (typeof nearer)[number]) => one.easyMs / one.ms - 1;
  const [first, ...others] = nearer;
  if (!first) return part('nearest', 0, WEIGHT.nearest, '');
  const most = others.reduce((best, one) => (excess(one) > excess(best) ? one : best), first);
  const says = `${letterOf(most.limb)} ${most.ms} ms: ${most.easyMs} ÷ ${most.ms} − 1`;
  return part('nearest', Math.max(0, excess(most)), WEIGHT.nearest, says);
}

/** Ways between surfaces: how many there are, and how short the shortest is. */
function waysOf(exercise: Exercise, tempo: Tempo): readonly DifficultyPart[] {
  const travels = travelOf(exercise, tempo);
  const ways = travels.reduce((sum, one) => sum + one.ways, 0);
  if (ways === 0) return [];
  const ms = Math.max(1, Math.round(Math.min(...travels.map((one) => one.shortest.ms))));
  return [
    part(
      'travel',
      ways + EASY_WAY_MS / ms,
      WEIGHT.way,
      `${ways} ways, the shortest ${ms} ms: ${ways} + ${EASY_WAY_MS} ÷ ${ms}`,
    ),
  ];
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

function sayOrnaments(ornaments: readonly Ornament[]): string {
  return ornaments.map((one) => `${one} ${ORNAMENT[one]}`).join(' + ');
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

/** Longest run of feet without a hand, beyond the first. */
function feetAlone(exercise: Exercise): number {
  const moments = momentsOf(exercise);
  const feet = LIMB_BITS.RF | LIMB_BITS.LF;
  let best = 0;
  let run = 0;
  for (let step = 0; step < moments.length + LONGEST_RUN; step += 1) {
    const mask = moments[step % moments.length]?.mask ?? 0;
    run = mask !== 0 && (mask & feet) === mask ? run + 1 : 0;
    best = Math.max(best, run);
  }
  return Math.max(0, Math.min(best, LONGEST_RUN) - 1);
}

/** Whether one foot comes straight after the other, each way. */
function feetCrossings(exercise: Exercise): readonly string[] {
  const moments = momentsOf(exercise);
  const foot = (mask: number) => {
    const [right, left] = [(mask & LIMB_BITS.RF) !== 0, (mask & LIMB_BITS.LF) !== 0];
    return right === left ? null : right ? 'right' : 'left';
  };
  const found = new Set<string>();
  moments.forEach(({ mask }, index) => {
    const [from, to] = [foot(mask), foot(moments[(index + 1) % moments.length]?.mask ?? 0)];
    if (from !== null && to !== null && from !== to) found.add(`${from} into ${to}`);
  });
  return [...found];
}
