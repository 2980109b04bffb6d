import { sayCount } from '../issue';
import { letterOf, limbName, type Limb } from '../kit';
import { placeName, sayPartOfCycle, type Exercise, type Member } from '../recipe';
import {
  barTicks,
  countMark,
  gcd,
  SUBDIVISIONS,
  TICKS_PER_QUARTER,
  unitTicks,
  type Syllables,
  type Tempo,
} from '../time';
import { difficultyParts } from './difficulty';
import { instantsOf, strokesOf } from './instants';
import { motionsOf } from './motions';
import { seamOf } from './seam';
import { metricalComplexity, syncopationOf } from './syncopation';

export type DerivedPart =
  'count' | 'composite' | 'together' | 'cycle' | 'motions' | 'load' | 'difficulty' | 'syncopation';

/** Longest list of places that is worked out one by one; the rest goes on likewise. */
const MOST = 16;

/** How a part of the readback comes about, in lines that can be checked by hand. */
export function derive(
  part: DerivedPart,
  exercise: Exercise,
  tempo: Tempo,
  syllables?: Syllables,
): readonly string[] {
  const says = {
    count: () => deriveCount(exercise, syllables),
    composite: () => deriveInstants(exercise, syllables),
    together: () => deriveTogether(exercise),
    cycle: () => deriveCycle(exercise, tempo),
    motions: () => deriveMotions(exercise, syllables),
    load: () => deriveLoad(exercise, tempo),
    difficulty: () => deriveDifficulty(exercise, tempo),
    syncopation: () => deriveSyncopation(exercise, syllables),
  } satisfies Record<DerivedPart, () => readonly string[]>;
  return says[part]();
}

/** Slots of the coarsest grid that a limb's first bar lies on, each with its syllable. */
function deriveCount(exercise: Exercise, syllables?: Syllables): readonly string[] {
  const { meter, barTicks: bar, strokes } = exercise;
  const limbs = [...new Set(strokes.map((stroke) => stroke.limb))];
  return limbs.map((limb) => {
    const places = strokes.filter((one) => one.limb === limb && one.at < bar).map((one) => one.at);
    const slot = places.reduce<number>((sum, at) => gcd(sum, at), unitTicks(meter));
    const said = places.map((at) => `${at / slot} = ${countMark(at, meter, syllables).text}`);
    return `${letterOf(limb)}: slots of ${sayGrid(slot)} in bar 1, from 0: ${said.join(', ')}`;
  });
}

function sayGrid(ticks: number): string {
  const known = SUBDIVISIONS.find((one) => one.slotTicks === ticks);
  if (known) return known.name;
  const part = gcd(ticks, TICKS_PER_QUARTER);
  return `${ticks / part}/${TICKS_PER_QUARTER / part} of a quarter`;
}

function deriveInstants(exercise: Exercise, syllables?: Syllables): readonly string[] {
  const instants = instantsOf(exercise);
  const lines = instants
    .slice(0, MOST)
    .map(
      ({ at, limbs }) =>
        `${placeName(at, exercise, syllables)}: ${limbs.map(letterOf).join(' + ')}${limbs.length > 1 ? ' = T' : ''}`,
    );
  return more(lines, instants.length);
}

function deriveTogether(exercise: Exercise): readonly string[] {
  const instants = instantsOf(exercise);
  const strokes = exercise.strokes.length;
  const alone = instants.filter(({ limbs }) => limbs.length === 1).length;
  return [
    `${sayCount(strokes, 'stroke')} fall on ${sayCount(instants.length, 'instant')}.`,
    `${alone} of them hold one limb, ${instants.length - alone} two or more.`,
    `${strokes} − ${instants.length} = ${strokes - instants.length} strokes meet another.`,
  ];
}

function deriveCycle(exercise: Exercise, tempo: Tempo): readonly string[] {
  const unit = unitTicks(exercise.meter);
  const bar = barTicks(exercise.meter);
  const beats = (ticks: number) => sayCount(round(ticks / unit), 'beat');
  const lengths = exercise.layers.map(
    (layer) => `${layer.name || 'added'}: ${beats(layer.ownTicks ?? layer.lengthTicks)}`,
  );
  const seam = seamOf(exercise, tempo);
  const members = exercise.members.map(
    (one) =>
      `${one.name || 'this exercise'}: bars ${one.fromBar + 1} to ${one.fromBar + one.bars}${cutOf(one)}`,
  );
  const own = exercise.members.length > 0 ? members : [...new Set(lengths)];
  return [
    `The bar: ${beats(bar)}`,
    ...own,
    ...(exercise.members.length > 0
      ? []
      : [
          `All begin together again after ${beats(exercise.cycleTicks)}, the least that all divide.`,
        ]),
    `${beats(exercise.cycleTicks)} ÷ ${beats(bar)} = ${sayCount(exercise.bars, 'bar')}`,
    ...(seam
      ? [
          `Seam: ${round(seam.gapTicks / tempo.beatTicks)} of a beat × 60000 ÷ ${tempo.bpm} = ${Math.round(seam.gapMs)} ms`,
        ]
      : []),
  ];
}

function cutOf(member: Member): string {
  const cut = sayPartOfCycle(member);
  return cut && `, ${cut}`;
}

function deriveMotions(exercise: Exercise, syllables?: Syllables): readonly string[] {
  return (['RH', 'LH'] as const).flatMap((limb) => {
    const mine = strokesOf(exercise, limb);
    const motions = motionsOf(exercise, limb);
    const lines = motions.slice(0, MOST / 2).map(({ at, motion }, index) => {
      const now = mine[index]?.dynamic ?? 'normal';
      const next = mine[(index + 1) % mine.length]?.dynamic ?? 'normal';
      return `${letterOf(limb)} on ${placeName(at, exercise, syllables)}: ${now}, next ${next} = ${motion}`;
    });
    return more(lines, motions.length);
  });
}

function deriveLoad(exercise: Exercise, tempo: Tempo): readonly string[] {
  const beatsInCycle = exercise.cycleTicks / tempo.beatTicks;
  const seconds = (beatsInCycle * 60) / tempo.bpm;
  const limbs = [...new Set(exercise.strokes.map((stroke) => stroke.limb))];
  return [
    `One cycle: ${round(beatsInCycle)} beats × 60 ÷ ${tempo.bpm} = ${round(seconds)} s`,
    ...limbs.map((limb: Limb) => {
      const count = strokesOf(exercise, limb).length;
      return `${letterOf(limb)}: ${count} strokes ÷ ${round(seconds)} s = ${round(count / seconds)} a second`;
    }),
  ];
}

function deriveDifficulty(exercise: Exercise, tempo: Tempo): readonly string[] {
  const parts = difficultyParts(exercise, tempo);
  const sum = parts.reduce((total, one) => total + one.points, 0);
  return [
    ...parts.map(({ part, points, says }) => `${part}: ${says} = ${round(points)}`),
    `Sum ${round(sum)}, only for putting exercises in order.`,
  ];
}

function deriveSyncopation(exercise: Exercise, syllables?: Syllables): readonly string[] {
  return [
    'Weights: the bar 0, its halves or groups −1, beats −2, one less for each halving below.',
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
