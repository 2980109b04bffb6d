import { LIMBS, isHand, type Limb } from '../kit';

import type { Exercise } from '../recipe';
import { beats, type Tempo } from '../time';
import { instantsOf, strokesOf } from './instants';
import { once } from './keep';
import { distancesOf, doublesOf, steadyLimbs } from './flow';
import { readingLoad, readingOf } from './line-load';
import { limbLoads } from './seam';

import { travelOf } from './travel';

import type { DifficultyFacts, DifficultyPart, LimbSpeed } from './difficulty-facts';
import {
  dynamicsOf,
  texturesOf,
  ornamentedIn,
  roundBeats,
  stepsOf,
  shareOf,
  offBeatShare,
  heldOver,
  isWeaker,
  ORNAMENT_POINTS,
  ornamentsOf,
  gridsOf,
  feetInARow,
  feetCrossings,
} from './difficulty-measures';

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

/** Strokes a second that a limb plays with ease; nearer than `1000 ÷` this they begin to cost. In Hz;
 * common practice, no source. */
const EASY_A_SECOND = { hand: 4, foot: 3 } as const;

/** A way to another surface takes so long with ease; ms, common practice, no source. */
const EASY_WAY_MS = 400;

/** Nearer strokes, such as those of a drag, are no harder: the stick bounces. */
const MOST_NEAREST = 3;

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
