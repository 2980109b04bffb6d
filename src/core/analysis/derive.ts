import { sayCount } from '../issue';
import { letterOf, limbName, LIMBS, type Limb } from '../kit';
import { DYNAMICS } from '../pattern';
import { placeName, sayPartOfCycle, type Exercise, type Member } from '../recipe';
import {
  countMark,
  gcd,
  metricalWeight,
  noteOfTempo,
  SUBDIVISIONS,
  TICKS_PER_QUARTER,
  unitTicks,
  type Meter,
  type Syllables,
  type Tempo,
} from '../time';
import { differingLimbs } from './composite';
import { difficultyParts, difficultyPoints } from './difficulty';
import { instantsOf, strokesOf } from './instants';
import { motionsOf } from './motions';
import { sayDifficulty } from './say-difficulty';
import { limbLoads, seamOf } from './seam';
import { metricalComplexity, syncopationOf } from './syncopation';

export type DerivedPart =
  'count' | 'composite' | 'together' | 'cycle' | 'motions' | 'load' | 'difficulty' | 'syncopation';

/** Longest list of places that is worked out one by one; the rest goes on likewise. */
const MOST = 16;

/** What is read back, and how it is asked for. */
export interface Asked {
  readonly exercise: Exercise;
  readonly tempo: Tempo;
  readonly syllables?: Syllables | undefined;
  /** Whose composite is said; by default that of the two that differ most. */
  readonly limbs?: readonly Limb[] | undefined;
}

/** How a part of the readback comes about, in lines that can be checked by hand. A beat is what the tempo
 * counts, in every meter. */
export function derive(
  part: DerivedPart,
  { exercise, tempo, syllables, limbs }: Asked,
): readonly string[] {
  const says = {
    count: () => deriveCount(exercise, syllables),
    composite: () => deriveComposite(exercise, limbs, syllables),
    together: () => deriveTogether(exercise),
    cycle: () => deriveCycle(exercise, tempo),
    motions: () => deriveMotions(exercise, syllables),
    load: () => deriveLoad(exercise, tempo),
    difficulty: () => deriveDifficulty(exercise, tempo),
    syncopation: () => deriveSyncopation(exercise, syllables),
  } satisfies Record<DerivedPart, () => readonly string[]>;
  return says[part]();
}

/** Slots of the coarsest grid that a limb's bar lies on, each with its syllable, bar by bar; bars that are
 * as one before are said so. */
function deriveCount(exercise: Exercise, syllables?: Syllables): readonly string[] {
  const { meter, bars, barTicks: bar } = exercise;
  const limbs = LIMBS.filter((limb) => strokesOf(exercise, limb).length > 0);
  return limbs.flatMap((limb) => {
    const first = new Map<string, number>();
    const lines = Array.from({ length: bars }, (_, index) => {
      const inBar = strokesOf(exercise, limb).filter(({ at }) => Math.floor(at / bar) === index);
      const places = [...new Set(inBar.map(({ at }) => at % bar))];
      const head = `${letterOf(limb)}, bar ${index + 1}`;
      if (places.length === 0) return `${head}: rests`;
      const as = first.get(places.join());
      if (as !== undefined) return `${head}: as bar ${as + 1}`;
      first.set(places.join(), index);
      const slot = places.reduce<number>((sum, at) => gcd(sum, at), unitTicks(meter));
      const said = places.map((at) => `${at / slot} = ${countMark(at, meter, syllables).text}`);
      return `${head}: slots of ${sayGrid(slot)}, from 0: ${said.join(', ')}`;
    });
    return more(lines.slice(0, MOST), lines.length);
  });
}

/** @example sayGrid(slotTicks('16')) // => '16ths' */
export function sayGrid(ticks: number): string {
  const known = SUBDIVISIONS.find((one) => one.slotTicks === ticks);
  if (known) return known.name;
  const part = gcd(ticks, TICKS_PER_QUARTER);
  return `${ticks / part}/${TICKS_PER_QUARTER / part} of a quarter`;
}

/** The chosen limbs alone, place by place, and the letter that is said. */
function deriveComposite(
  exercise: Exercise,
  limbs: readonly Limb[] = differingLimbs(exercise) ?? [],
  syllables?: Syllables,
): readonly string[] {
  const places = instantsOf(exercise).flatMap(({ at, limbs: playing }) => {
    const mine = playing.filter((limb) => limbs.includes(limb));
    return mine.length > 0 ? [{ at, mine }] : [];
  });
  const lines = places.slice(0, MOST).map(({ at, mine }) => {
    const said = mine.map(letterOf).join(' + ');
    return `${placeName(at, exercise, syllables)}: ${said}${mine.length > 1 ? ' = T' : ''}`;
  });
  return more(lines, places.length);
}

function deriveTogether(exercise: Exercise): readonly string[] {
  const instants = instantsOf(exercise);
  const strokes = exercise.strokes.length;
  const alone = instants.filter(({ limbs }) => limbs.length === 1).length;
  const meet = strokes - instants.length;
  return [
    `${sayCount(strokes, 'stroke')} ${strokes === 1 ? 'falls' : 'fall'} on ${sayCount(instants.length, 'instant')}.`,
    `${alone} of them ${alone === 1 ? 'holds' : 'hold'} one limb, ${instants.length - alone} two or more.`,
    `${strokes} − ${instants.length} = ${sayCount(meet, 'stroke')} ${meet === 1 ? 'meets' : 'meet'} another.`,
  ];
}

function deriveCycle(exercise: Exercise, tempo: Tempo): readonly string[] {
  const bar = exercise.barTicks;
  const note = noteOfTempo(tempo);
  const beats = (ticks: number) => sayCount(round(ticks / tempo.beatTicks), 'beat');
  const lengths = exercise.layers.map(
    (layer) => `${layer.name || 'added'}: ${beats(layer.ownTicks ?? layer.lengthTicks)}`,
  );
  const seam = seamOf(exercise, tempo);
  const members = exercise.members.map(
    (one) =>
      `${one.name || 'this exercise'}: bars ${one.fromBar + 1} to ${one.fromBar + one.bars}${cutOf(one)}`,
  );
  const { cutFrom } = exercise;
  const whole = cutFrom === null ? exercise.cycleTicks : cutFrom * bar;
  return [
    `A beat is a ${note}. The bar: ${beats(bar)}`,
    ...(exercise.members.length > 0
      ? members
      : [
          ...new Set(lengths),
          `All begin together again after ${beats(whole)}, the least that all divide.`,
        ]),
    `${beats(whole)} ÷ ${beats(bar)} = ${sayCount(whole / bar, 'bar')}`,
    ...(cutFrom === null
      ? []
      : [`Cut after ${sayCount(exercise.bars, 'bar')}: there all begin anew.`]),
    ...(seam
      ? [
          `Seam: ${round((seam.gapMs / 60_000) * tempo.bpm)} of a beat${exercise.feel.kind === 'swung' ? ' as it is swung' : ''} × 60000 ÷ ${tempo.bpm} = ${Math.round(seam.gapMs)} ms`,
        ]
      : []),
  ];
}

function cutOf(member: Member): string {
  const cut = sayPartOfCycle(member);
  return cut && `, ${cut}`;
}

/** Each level with the next of the same hand; a hand's own loudest alone is loud. */
function deriveMotions(exercise: Exercise, syllables?: Syllables): readonly string[] {
  return (['RH', 'LH'] as const).flatMap((limb) => {
    const motions = motionsOf(exercise, limb);
    if (motions.length === 0) return [];
    const levels = DYNAMICS.filter((one) => motions.some(({ dynamic }) => dynamic === one));
    const loudest = levels.at(-1) ?? 'normal';
    const rule =
      levels.length > 1
        ? `${letterOf(limb)}: ${loudest}, its loudest, is loud; ${levels.slice(0, -1).join(' and ')} ${levels.length > 2 ? 'are' : 'is'} soft.`
        : `${letterOf(limb)}: all are ${loudest}: ${motions[0]?.motion ?? ''} strokes throughout.`;
    const lines = motions.slice(0, MOST / 2).map(({ at, dynamic, motion }, index) => {
      const next = motions[(index + 1) % motions.length]?.dynamic ?? dynamic;
      return `${letterOf(limb)} on ${placeName(at, exercise, syllables)}: ${dynamic}, next ${next} = ${motion}`;
    });
    return [rule, ...more(lines, motions.length)];
  });
}

function deriveLoad(exercise: Exercise, tempo: Tempo): readonly string[] {
  const beatsInCycle = exercise.cycleTicks / tempo.beatTicks;
  const seconds = (beatsInCycle * 60) / tempo.bpm;
  return [
    `One cycle: ${sayCount(round(beatsInCycle), 'beat')} × 60 ÷ ${tempo.bpm} = ${round(seconds)} s`,
    ...limbLoads(exercise, tempo).map(
      ({ limb, strokes, perSecond }) =>
        `${letterOf(limb)}: ${sayCount(strokes, 'stroke')}${sayWritten(exercise, limb, strokes)} ÷ ${round(seconds)} s = ${round(perSecond)} a second`,
    ),
  ];
}

/** What is made more than is written. */
function sayWritten(exercise: Exercise, limb: Limb, made: number): string {
  const more = made - strokesOf(exercise, limb).length;
  return more > 0 ? ` (${more} of them in ornaments)` : '';
}

function deriveDifficulty(exercise: Exercise, tempo: Tempo): readonly string[] {
  const parts = difficultyParts(exercise, tempo);
  return [
    ...parts.map(
      ({ facts, count, weight, points }) =>
        `${facts.part}: ${sayDifficulty(facts)} = ${count}, × ${weight} = ${points}`,
    ),
    `${parts.map((one) => one.points).join(' + ')} = ${difficultyPoints(parts)}`,
    'Only for putting exercises in order.',
  ];
}

function deriveSyncopation(exercise: Exercise, syllables?: Syllables): readonly string[] {
  return [
    `Weights of the counted notes: ${countedWeights(exercise.meter)}; one less for each halving below.`,
    ...syncopationOf(exercise).flatMap(({ limb, places, value }) => {
      const lines = places
        .slice(0, MOST / 2)
        .map(
          ({ at, over, value: by }) =>
            `${limbName(limb)}: ${placeName(at, exercise, syllables)} lasts over ${placeName(over, exercise, syllables)}: ${by}`,
        );
      const far = farFromMeter(exercise, limb);
      const sum = `${limbName(limb)}: ${value} in all`;
      return [...more(lines, places.length), far === null ? sum : `${sum}; ${far}`];
    }),
  ];
}

/** The weight of each counted note of the bar. @example 6/8 // => '0 −2 −2 −1 −2 −2' */
function countedWeights(meter: Meter): string {
  return Array.from({ length: meter.count }, (_, index) =>
    String(metricalWeight(index * unitTicks(meter), meter)).replace('-', '−'),
  ).join(' ');
}

/** For a rhythm of one bar: how far it lies from the strongest one of as many notes. */
function farFromMeter(exercise: Exercise, limb: Limb): string | null {
  if (exercise.bars !== 1) return null;
  const places = [...new Set(strokesOf(exercise, limb).map(({ at }) => at as number))];
  const slot = places.reduce((sum, at) => gcd(sum, at), unitTicks(exercise.meter) as number);
  const notes = places.map((at) => at / slot);
  const far = metricalComplexity(notes, slot, exercise.meter);
  return `${far} from the strongest rhythm of ${sayCount(notes.length, 'note')}`;
}

function more(lines: readonly string[], all: number): readonly string[] {
  return all > lines.length ? [...lines, `… and ${all - lines.length} more likewise`] : lines;
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
