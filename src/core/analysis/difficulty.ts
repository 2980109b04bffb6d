import { LIMBS, isHand, type Limb } from '../kit';
import type { Dynamic, Ornament, Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import {
  beatIndexAt,
  beatPlaces,
  beats,
  lcm,
  TICKS_PER_QUARTER,
  unitTicks,
  type Tempo,
} from '../time';
import { instantsOf, LIMB_BITS, momentsOf, strokesOf, type Instant } from './instants';
import { once } from './keep';
import { distancesOf, doublesOf, FOOT_BITS, HAND_BITS, steadyLimbs } from './flow';
import { readingLoad, readingOf, type LineReading } from './line-load';
import { limbLoads } from './seam';
import { smallestPart } from './smallest-part';
import { travelOf } from './travel';

/** What a part counts, with the numbers that it comes from. */
export type DifficultyFacts =
  | { readonly part: 'limbs'; readonly limbs: readonly Limb[] }
  | {
      readonly part: 'combinations' | 'changes' | 'takeovers' | 'feet-in-a-row';
      readonly number: number;
    }
  | { readonly part: 'notes-a-beat'; readonly instants: number; readonly beats: number }
  | ({ readonly part: 'reading' } & LineReading)
  | { readonly part: 'off-the-beat'; readonly shares: readonly OffBeatShare[] }
  | { readonly part: 'over-the-beat'; readonly notes: number; readonly bars: number }
  | { readonly part: 'grids'; readonly kinds: number }
  | { readonly part: 'speed'; readonly limbs: readonly LimbSpeed[] }
  | { readonly part: 'nearest'; readonly limb: Limb; readonly ms: number; readonly easyMs: number }
  | { readonly part: 'travel'; readonly ways: number; readonly ms: number; readonly easyMs: number }
  | { readonly part: 'foot-to-foot'; readonly from: readonly Limb[] }
  | { readonly part: 'spacing'; readonly limbs: readonly LimbSpacing[] }
  | { readonly part: 'doubles'; readonly early: number; readonly all: number }
  | {
      readonly part: 'dynamics';
      readonly limbs: readonly LimbDynamics[];
      /** Limbs that accent every stroke. */
      readonly loud: readonly Limb[];
    }
  | { readonly part: 'textures'; readonly limbs: readonly LimbSpacing[] }
  | { readonly part: 'ornamented'; readonly number: number }
  | { readonly part: 'round'; readonly beats: number }
  | { readonly part: 'meter'; readonly beats: number }
  | { readonly part: 'weaker-side'; readonly limbs: readonly LimbSpeed[] }
  | { readonly part: 'ornaments'; readonly ornaments: readonly Ornament[] };

/** Where the strokes of a limb lie, of `all`: on a half of the counted note, between halves. */
export interface OffBeatShare {
  readonly limb: Limb;
  readonly halves: number;
  readonly between: number;
  readonly all: number;
}

/** How many different distances lie between the strokes of a limb, over the seam too, or ways to strike. */
interface LimbSpacing {
  readonly limb: Limb;
  readonly kinds: number;
}

/** The loud strokes of a limb that plays soft ones, too: where they lie, and how many different distances lie
 * between them. */
export interface LimbDynamics extends OffBeatShare {
  readonly kinds: number;
}

/** Strokes a second of a limb, and how many are easy. */
interface LimbSpeed {
  readonly limb: Limb;
  readonly rate: number;
  readonly easy: number;
}

/** One part of what makes an exercise hard: `points` is `count` × `weight`, and the parts add up. All
 * three are rounded to hundredths, so that a sum by hand comes out the same. */
export interface DifficultyPart {
  readonly facts: DifficultyFacts;
  readonly count: number;
  readonly weight: number;
  readonly points: number;
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
  density: 0.3,
  /** A line with notes off the beat: the bar that is hardest to read, and the others that are different from it. */
  reading: 1.3,
  /** Share of each limb's strokes that lie off the beat: a limb that is never on it is a bit harder than
   * one more limb. */
  offBeat: 1.5,
  /** Notes in a bar that last over a beat: a part against the beat pulls the others along. */
  overBeat: 0.4,
  /** Each kind of subdivision beyond the first: as hard as a limb. */
  grid: 1,
  /** Times the easy number of strokes a second, all limbs together. */
  speed: 1,
  /** How much nearer than easy the nearest strokes of one limb are. */
  nearest: 1,
  /** Each way from one surface to another, and how many of the shortest fit into an easy one. */
  way: 0.3,
  /** Feet in a row with no hand between them, beyond the first, no further than half a counted note. */
  feetInARow: 0.1,
  /** Right foot straight into left as near, and the reverse, each once: as hard as a limb, both together. */
  footToFoot: 0.75,
  /** Each distance between the strokes of one limb beyond the first: a clave is harder than quarters or 8ths,
   * a paradiddle than doubles, doubles than singles. */
  spacing: 0.5,
  /** Share of doubles that no beat follows: a paradiddle's do, its inversions' do not. */
  doubles: 0.3,
  /** Each limb that plays loud and soft, more for loud ones off the beat, and for ones that move about. */
  dynamics: 0.4,
  /** Each way to strike of a limb beyond the first: shoulder and tip, edge and bell. */
  textures: 0.4,
  /** Each ornament until all comes again: a triple ratamacue is harder than a single one. */
  ornamented: 0.4,
  /** Beats until all comes again at the same place of a bar: one bar four times is easier than four, a three
   * over the bar than a five. */
  round: 0.06,
  /** A meter of unequal beats, or of five or seven. */
  meter: 0.5,
  /** Times the easy number of strokes a second, on the side that does not lead. */
  weakerSide: 0.2,
} as const;

/** A limb that accents every stroke, against one that plays loud and soft. */
export const ALL_LOUD = 0.5;

/** More ornaments are no harder: they come again. */
const MOST_ORNAMENTED = 8;

/** Strokes a second that a limb plays with ease; nearer than `1000 ÷` this they begin to cost. In Hz;
 * common practice, no source. */
const EASY_A_SECOND = { hand: 4, foot: 3 } as const;

/** A way to another surface takes so long with ease; ms, common practice, no source. */
const EASY_WAY_MS = 400;

/** Beats until all comes again; longer is no harder to remember. */
const LONGEST_ROUND = 32;

/** Nearer strokes, such as those of a drag, are no harder: the stick bounces. */
const MOST_NEAREST = 3;

/** A longer run of feet is no harder: it is a matter of stamina. */
const LONGEST_RUN = 8;

function round(value: number): number {
  return Math.round(value * 100) / 100;
}

/** Adds a part, unless it gives no points. */
function add(to: DifficultyPart[], facts: DifficultyFacts, count: number, weight: number): void {
  const counted = round(count);
  const points = round(counted * weight);
  if (points > 0) to.push({ facts, count: counted, weight, points });
}

/** How hard an exercise is at a tempo, explained part by part. What plays the same against the beat scores
 * the same, however often it is repeated, and wherever in the bar it begins. */
export function difficultyParts(exercise: Exercise, tempo: Tempo): readonly DifficultyPart[] {
  return [...partsOfShape(exercise), ...partsOfTempo(exercise, tempo)];
}

/** The parts added up, for putting exercises in order. */
export function difficultyPoints(parts: readonly DifficultyPart[]): number {
  return round(parts.reduce((sum, one) => sum + one.points, 0));
}

/** What does not depend on the tempo. */
const partsOfShape = once((exercise): readonly DifficultyPart[] => {
  const found: DifficultyPart[] = [];
  const { bars, meter } = exercise;
  const limbs = LIMBS.filter((limb) => strokesOf(exercise, limb).length > 0);
  add(found, { part: 'limbs', limbs }, limbs.length, WEIGHT.limb);
  const { combinations, changes, takeovers } = stepsOf(exercise);
  add(found, { part: 'combinations', number: combinations }, combinations, WEIGHT.combination);
  add(found, { part: 'changes', number: changes }, changes, WEIGHT.change);
  add(found, { part: 'takeovers', number: takeovers }, takeovers, WEIGHT.takeover);
  const instants = instantsOf(exercise).length;
  const felt = beats(meter).length * bars;
  add(found, { part: 'notes-a-beat', instants, beats: felt }, instants / felt, WEIGHT.density);
  const reading = readingOf(exercise);
  if (reading) {
    add(found, { part: 'reading', ...reading }, readingLoad(reading), WEIGHT.reading);
  }
  // A flow that goes through in equal steps is no syncopation, whichever hands or feet share it.
  const steady = steadyLimbs(exercise, limbs);
  const against = limbs.filter((limb) => !steady.includes(limb));
  const shares = against.map((limb) => offBeatShare(strokesOf(exercise, limb), limb, exercise));
  const off = shares.reduce((sum, one) => sum + shareOf(one), 0);
  add(found, { part: 'off-the-beat', shares }, off, WEIGHT.offBeat);
  const notes = against.reduce((sum, limb) => sum + heldOver(exercise, limb), 0);
  add(found, { part: 'over-the-beat', notes, bars }, notes / bars, WEIGHT.overBeat);
  const kinds = gridsOf(exercise);
  add(found, { part: 'grids', kinds }, kinds - 1, WEIGHT.grid);
  const feet = feetInARow(exercise);
  add(found, { part: 'feet-in-a-row', number: feet }, feet, WEIGHT.feetInARow);
  const from = feetCrossings(exercise);
  add(found, { part: 'foot-to-foot', from }, from.length, WEIGHT.footToFoot);
  const ornaments = ornamentsOf(exercise);
  const points = ornaments.reduce((sum, one) => sum + ORNAMENT_POINTS[one], 0);
  add(found, { part: 'ornaments', ornaments }, points, 1);
  const spaced = limbs
    .map((limb) => ({ limb, kinds: distancesOf(strokesOf(exercise, limb), exercise) }))
    .filter(({ kinds }) => kinds > 1);
  const kindsBeyond = spaced.reduce((sum, one) => sum + one.kinds - 1, 0);
  add(found, { part: 'spacing', limbs: spaced }, kindsBeyond, WEIGHT.spacing);
  const doubles = doublesOf(exercise);
  add(
    found,
    { part: 'doubles', ...doubles },
    doubles.early / Math.max(1, doubles.all),
    WEIGHT.doubles,
  );
  const dynamics = limbs.flatMap((limb) => dynamicsOf(exercise, limb));
  const loud = limbs.filter((limb) =>
    strokesOf(exercise, limb).every(({ dynamic }) => dynamic === 'accent'),
  );
  const levels = dynamics.reduce((sum, one) => sum + 1 + shareOf(one) + (one.kinds - 1) / 2, 0);
  const dynamicCount = levels + loud.length * ALL_LOUD;
  add(found, { part: 'dynamics', limbs: dynamics, loud }, dynamicCount, WEIGHT.dynamics);
  const textured = limbs
    .map((limb) => ({ limb, kinds: texturesOf(exercise, limb) }))
    .filter(({ kinds }) => kinds > 1);
  const textures = textured.reduce((sum, one) => sum + one.kinds - 1, 0);
  add(found, { part: 'textures', limbs: textured }, textures, WEIGHT.textures);
  const ornamented = ornamentedIn(exercise);
  add(found, { part: 'ornamented', number: ornamented }, ornamented, WEIGHT.ornamented);
  const until = roundBeats(exercise);
  add(found, { part: 'round', beats: until }, until, WEIGHT.round);
  const felts = beats(meter);
  const odd =
    felts.length === 5 ||
    felts.length === 7 ||
    felts.some(({ ticks }) => ticks !== felts[0]?.ticks);
  if (odd) add(found, { part: 'meter', beats: felts.length }, 1, WEIGHT.meter);
  return found;
});

const LOUDNESS: Readonly<Record<Dynamic, number>> = { ghost: 0, tap: 1, normal: 2, accent: 3 };

/** The loudest strokes of a limb that plays softer ones, too; none where it plays at one level. */
function dynamicsOf(exercise: Exercise, limb: Limb): LimbDynamics[] {
  const strokes = strokesOf(exercise, limb);
  const [first] = strokes;
  if (strokes.every(({ dynamic }) => dynamic === first?.dynamic)) return [];
  const most = Math.max(...strokes.map(({ dynamic }) => LOUDNESS[dynamic]));
  const loud = strokes.filter(({ dynamic }) => LOUDNESS[dynamic] === most);
  return [{ ...offBeatShare(loud, limb, exercise), kinds: distancesOf(loud, exercise) }];
}

/** In how many ways a limb strikes. */
function texturesOf(exercise: Exercise, limb: Limb): number {
  const strokes = strokesOf(exercise, limb);
  if (strokes.every(({ texture }) => texture === undefined)) return 1;
  return new Set(strokes.map(({ texture }) => texture)).size;
}

/** Ornaments of the smallest part. */
function ornamentedIn(exercise: Exercise): number {
  let all = 0;
  for (const { ornament } of exercise.strokes) if (ornament) all += 1;
  if (all === 0) return 0;
  const { cycleTicks } = exercise;
  const parts = cycleTicks / (smallestPart(exercise)?.ticks ?? cycleTicks);
  return Math.min(MOST_ORNAMENTED, Math.round(all / parts));
}

/** Felt beats until all comes again at the same place of a bar. */
function roundBeats(exercise: Exercise): number {
  const { meter, barTicks, cycleTicks } = exercise;
  const part = smallestPart(exercise)?.ticks ?? cycleTicks;
  return Math.min(LONGEST_ROUND, (beats(meter).length * lcm(part, barTicks)) / barTicks);
}

/** Different sets of limbs, steps between them, and steps between hands alone and feet alone. */
function stepsOf(exercise: Exercise) {
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
function shareOf({ halves, between, all }: OffBeatShare): number {
  return (halves / 2 + between) / all;
}

function offBeatShare(
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
function heldOver(exercise: Exercise, limb: Limb): number {
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

function partsOfTempo(exercise: Exercise, tempo: Tempo): readonly DifficultyPart[] {
  const found: DifficultyPart[] = [];
  const limbs: LimbSpeed[] = [];
  let speed = 0;
  let nearest = { limb: LIMBS[0] as Limb, ms: 1, easyMs: 0 };
  for (const { limb, perSecond, shortestGapMs } of limbLoads(exercise, tempo)) {
    const easy = isHand(limb) ? EASY_A_SECOND.hand : EASY_A_SECOND.foot;
    const rate = round(perSecond);
    limbs.push({ limb, rate, easy });
    speed += rate / easy;
    const [ms, easyMs] = [Math.max(1, Math.round(shortestGapMs)), Math.round(1000 / easy)];
    if (easyMs / ms > nearest.easyMs / nearest.ms) nearest = { limb, ms, easyMs };
  }
  add(found, { part: 'speed', limbs }, speed, WEIGHT.speed);
  const weaker = limbs.filter(({ limb }) => isWeaker(limb, exercise));
  const rates = weaker.reduce((sum, { rate, easy }) => sum + rate / easy, 0);
  add(found, { part: 'weaker-side', limbs: weaker }, rates, WEIGHT.weakerSide);
  const excess = Math.min(MOST_NEAREST, nearest.easyMs / nearest.ms - 1);
  add(found, { part: 'nearest', ...nearest }, excess, WEIGHT.nearest);
  const travels = travelOf(exercise, tempo);
  if (travels.length === 0) return found;
  const ways = travels.reduce((sum, one) => sum + one.ways, 0);
  const ms = Math.max(1, Math.round(Math.min(...travels.map((one) => one.shortest.ms))));
  const facts = { part: 'travel', ways, ms, easyMs: EASY_WAY_MS } as const;
  add(found, facts, ways + EASY_WAY_MS / ms, WEIGHT.way);
  return found;
}

/** The left side, but for who plays left-handed; one who only leads with the left keeps the feet. */
function isWeaker(limb: Limb, { kit: { handedness } }: Exercise): boolean {
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

function ornamentsOf(exercise: Exercise): readonly Ornament[] {
  const found: Ornament[] = [];
  for (const { ornament } of exercise.strokes) {
    if (ornament && !found.includes(ornament)) found.push(ornament);
  }
  return found;
}

/** How many kinds of grid the beats of the cycle need: binary, triplet, five, seven. */
function gridsOf(exercise: Exercise): number {
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
function feetInARow(exercise: Exercise): number {
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
function feetCrossings(exercise: Exercise): readonly Limb[] {
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
