import {
  spokenLimbs,
  difficultyParts,
  difficultyPoints,
  instantsOf,
  limbLoads,
  metricalComplexity,
  motionsOf,
  seamOf,
  strokesOf,
  syncopationOf,
} from '@/core/analysis';
import { letterOf, LIMBS, type Limb } from '@/core/kit';
import { DYNAMICS, type Layer } from '@/core/pattern';
import { type Exercise, type Member } from '@/core/recipe';
import { changeThatAdded } from '@/core/transform';
import {
  countMark,
  gcd,
  metricalWeight,
  SUBDIVISIONS,
  TICKS_PER_QUARTER,
  unitTicks,
  type Meter,
  type Tempo,
} from '@/core/time';
import { sayPlaceIn } from './place';
import { sayNamed } from './material';
import { sayChange, sayDynamic } from './change';
import { saySubdivision, sayTempoNote } from './time';
import { sayLimb } from './kit';
import { sayDifficulty, sayDifficultyPart } from './readback';
import { sayList, type Say } from './say';

export type DerivedPart =
  | 'count'
  | 'composite'
  | 'together'
  | 'cycle'
  | 'motions'
  | 'load'
  | 'difficulty'
  | 'syncopation';

/** Longest list of places that is worked out one by one; the rest goes on likewise. */
const MOST = 16;

/** What is read back, and how it is asked for. */
export interface Asked {
  readonly exercise: Exercise;
  readonly tempo: Tempo;
  /** Whose composite is said; by default that of the two that differ most. */
  readonly limbs?: readonly Limb[] | undefined;
}

/** How a part of the readback comes about, in lines that can be checked by hand. A beat is what the tempo
 * counts, in every meter. */
export function sayDerivation(
  say: Say,
  part: DerivedPart,
  { exercise, tempo, limbs }: Asked,
): readonly string[] {
  const says = {
    count: () => ofCount(say, exercise),
    composite: () => ofComposite(say, exercise, limbs),
    together: () => ofTogether(say, exercise),
    cycle: () => ofCycle(say, exercise, tempo),
    motions: () => ofMotions(say, exercise),
    load: () => ofLoad(say, exercise, tempo),
    difficulty: () => ofDifficulty(say, exercise, tempo),
    syncopation: () => ofSyncopation(say, exercise),
  } satisfies Record<DerivedPart, () => readonly string[]>;
  return says[part]();
}

/** Slots of the coarsest grid that a limb's bar lies on, each with its syllable, bar by bar; bars that are
 * as one before are said so. */
function ofCount(say: Say, exercise: Exercise): readonly string[] {
  const { t } = say;
  const { meter, bars, barTicks: bar } = exercise;
  const limbs = LIMBS.filter((limb) => strokesOf(exercise, limb).length > 0);
  return limbs.flatMap((limb) => {
    const first = new Map<string, number>();
    const lines = Array.from({ length: bars }, (_, index) => {
      const inBar = strokesOf(exercise, limb).filter(({ at }) => Math.floor(at / bar) === index);
      const places = [...new Set(inBar.map(({ at }) => at % bar))];
      const head = { limb: letterOf(limb), bar: index + 1 };
      if (places.length === 0) return t('readback.derived.rests', head);
      const as = first.get(places.join());
      if (as !== undefined) return t('readback.derived.asBar', { ...head, as: as + 1 });
      first.set(places.join(), index);
      const slot = places.reduce<number>((sum, at) => gcd(sum, at), unitTicks(meter));
      const said = places.map((at) => `${at / slot} = ${countMark(at, meter, say.syllables).text}`);
      const grid = sayGrid(say, slot);
      return t('readback.derived.slots', { ...head, slot: grid, places: said.join(', ') });
    });
    return more(say, lines.slice(0, MOST), lines.length);
  });
}

/** @example sayGrid(ENGLISH, slotTicks('16')) // => '16ths' */
export function sayGrid(say: Say, ticks: number): string {
  const known = SUBDIVISIONS.find((one) => one.slotTicks === ticks);
  if (known) return saySubdivision(say, known.id);
  const part = gcd(ticks, TICKS_PER_QUARTER);
  return say.t('readback.derived.partOfQuarter', {
    count: ticks / part,
    of: TICKS_PER_QUARTER / part,
  });
}

/** The chosen limbs alone, place by place, and the letter that is said. */
function ofComposite(
  say: Say,
  exercise: Exercise,
  limbs: readonly Limb[] = spokenLimbs(exercise) ?? [],
): readonly string[] {
  const places = instantsOf(exercise).flatMap(({ at, limbs: playing }) => {
    const mine = playing.filter((limb) => limbs.includes(limb));
    return mine.length > 0 ? [{ at, mine }] : [];
  });
  const lines = places.slice(0, MOST).map(({ at, mine }) => {
    const said = {
      place: sayPlaceIn(say, at, exercise),
      limbs: mine.map(letterOf).join(' + '),
    };
    return mine.length > 1
      ? say.t('readback.derived.compositeTogether', said)
      : say.t('readback.derived.composite', said);
  });
  return more(say, lines, places.length);
}

function ofTogether({ t }: Say, exercise: Exercise): readonly string[] {
  const instants = instantsOf(exercise);
  const strokes = exercise.strokes.length;
  const alone = instants.filter(({ limbs }) => limbs.length === 1).length;
  const meet = strokes - instants.length;
  return [
    t('readback.derived.strokes', { strokes, instants: instants.length }),
    t('readback.derived.alone', { alone, more: instants.length - alone }),
    t('readback.derived.meet', { strokes, instants: instants.length, meet }),
  ];
}

function sayLayer(say: Say, layer: Layer): string {
  const change = changeThatAdded(layer);
  if (change) return sayChange(say, change);
  return sayNamed(say, layer.name) || say.t('readback.derived.added');
}

function ofCycle(say: Say, exercise: Exercise, tempo: Tempo): readonly string[] {
  const { t } = say;
  const bar = exercise.barTicks;
  const beats = (ticks: number) =>
    t('readback.derived.beats', { count: round(ticks / tempo.beatTicks) });
  const lengths = exercise.layers.map((layer) =>
    t('readback.derived.layer', {
      name: sayLayer(say, layer),
      beats: beats(layer.ownTicks ?? layer.lengthTicks),
    }),
  );
  const seam = seamOf(exercise, tempo);
  const { cutFrom } = exercise;
  const whole = cutFrom === null ? exercise.cycleTicks : cutFrom * bar;
  return [
    t('readback.derived.beat', { note: sayTempoNote(say, tempo), bar: beats(bar) }),
    ...(exercise.members.length > 0
      ? exercise.members.map((one) => sayMember(say, one))
      : [...new Set(lengths), t('readback.derived.again', { beats: beats(whole) })]),
    t('readback.derived.bars', { whole: beats(whole), bar: beats(bar), count: whole / bar }),
    ...(cutFrom === null ? [] : [t('readback.derived.cut', { count: exercise.bars })]),
    ...(seam
      ? [
          t('readback.derived.seam', {
            share: round((seam.gapMs / 60_000) * tempo.bpm),
            swung: exercise.feel.kind === 'swung' ? 'yes' : 'no',
            bpm: String(tempo.bpm),
            ms: String(Math.round(seam.gapMs)),
          }),
        ]
      : []),
  ];
}

function sayMember(say: Say, member: Member): string {
  const { t } = say;
  const { fromBar, bars } = member;
  const name = member.name || t('readback.derived.thisOne');
  const said = { name, from: fromBar + 1, to: fromBar + bars };
  const cut = sayPartOfCycle(say, member);
  return cut === ''
    ? t('readback.derived.member', said)
    : t('readback.derived.memberCut', { ...said, cut });
}

/** What of its own cycle a member plays, where that is not all of it; else empty.
 * @example { bars: 3, cycleBars: 4 } // => 'bars 1 to 3 of its cycle of 4' */
export function sayPartOfCycle(
  { t }: Say,
  { bars, cycleBars }: Pick<Member, 'bars' | 'cycleBars'>,
): string {
  const [times, last] = [Math.floor(bars / cycleBars), bars % cycleBars];
  const said = { last, of: cycleBars };
  if (last === 0) return '';
  if (times === 0) {
    return last === 1 ? t('readback.cycle.bar', said) : t('readback.cycle.bars', said);
  }
  return last === 1
    ? t('readback.cycle.timesBar', { ...said, times })
    : t('readback.cycle.timesBars', { ...said, times });
}

/** Each level with the next of the same hand; a hand's own loudest alone is loud. */
function ofMotions(say: Say, exercise: Exercise): readonly string[] {
  const { t } = say;
  return (['RH', 'LH'] as const).flatMap((hand) => {
    const limb = letterOf(hand);
    const motions = motionsOf(exercise, hand);
    if (motions.length === 0) return [];
    const levels = DYNAMICS.filter((one) => motions.some(({ dynamic }) => dynamic === one));
    const loudest = levels.at(-1) ?? 'normal';
    const softer = levels.slice(0, -1);
    const rule =
      softer.length > 0
        ? t('readback.derived.loud', {
            ...{ limb, count: softer.length },
            loudest: sayDynamic(say, loudest),
            softer: sayList(
              say,
              softer.map((one) => sayDynamic(say, one)),
            ),
          })
        : t('readback.derived.alike', {
            limb,
            level: sayDynamic(say, loudest),
            motion: t(`change.motion.${motions[0]?.motion ?? 'full'}`),
          });
    const lines = motions.slice(0, MOST / 2).map(({ at, dynamic, motion }, index) =>
      t('readback.derived.motion', {
        limb,
        level: sayDynamic(say, dynamic),
        motion: t(`change.motion.${motion}`),
        place: sayPlaceIn(say, at, exercise),
        next: sayDynamic(say, motions[(index + 1) % motions.length]?.dynamic ?? dynamic),
      }),
    );
    return [rule, ...more(say, lines, motions.length)];
  });
}

function ofLoad({ t }: Say, exercise: Exercise, tempo: Tempo): readonly string[] {
  const beatsInCycle = exercise.cycleTicks / tempo.beatTicks;
  const seconds = (beatsInCycle * 60) / tempo.bpm;
  const beats = t('readback.derived.beats', { count: round(beatsInCycle) });
  return [
    t('readback.derived.cycle', {
      ...{ beats, bpm: String(tempo.bpm) },
      seconds: String(round(seconds)),
    }),
    ...limbLoads(exercise, tempo).map(({ limb, strokes, perSecond }) =>
      t('readback.derived.load', {
        ...{ limb: letterOf(limb), strokes },
        ornaments: strokes - strokesOf(exercise, limb).length,
        seconds: String(round(seconds)),
        perSecond: String(round(perSecond)),
      }),
    ),
  ];
}

function ofDifficulty(say: Say, exercise: Exercise, tempo: Tempo): readonly string[] {
  const { t } = say;
  const parts = difficultyParts(exercise, tempo);
  return [
    ...parts.map(({ facts, count, weight, points }) =>
      t('readback.derived.difficulty', {
        part: sayDifficultyPart(say, facts),
        counted: sayDifficulty(say, facts),
        count: String(count),
        weight: String(weight),
        points: String(points),
      }),
    ),
    `${parts.map((one) => one.points).join(' + ')} = ${difficultyPoints(parts)}`,
    t('readback.derived.order'),
  ];
}

function ofSyncopation(say: Say, exercise: Exercise): readonly string[] {
  const { t } = say;
  return [
    t('readback.derived.weights', { weights: countedWeights(exercise.meter) }),
    ...syncopationOf(exercise).flatMap(({ limb: which, places, value }) => {
      const limb = sayLimb(say, which);
      const lines = places.slice(0, MOST / 2).map(({ at, over, value: by }) =>
        t('readback.derived.lastsOver', {
          ...{ limb, value: String(by) },
          place: sayPlaceIn(say, at, exercise),
          over: sayPlaceIn(say, over, exercise),
        }),
      );
      const far = farFromMeter(exercise, which);
      const sum = { limb, value: String(value) };
      return [
        ...more(say, lines, places.length),
        far === null
          ? t('readback.derived.inAll', sum)
          : t('readback.derived.inAllFar', { ...sum, far: String(far.far), notes: far.notes }),
      ];
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
function farFromMeter(
  exercise: Exercise,
  limb: Limb,
): { readonly far: number; readonly notes: number } | null {
  if (exercise.bars !== 1) return null;
  const places = [...new Set(strokesOf(exercise, limb).map(({ at }) => at as number))];
  const slot = places.reduce((sum, at) => gcd(sum, at), unitTicks(exercise.meter) as number);
  const notes = places.map((at) => at / slot);
  return { far: metricalComplexity(notes, slot, exercise.meter), notes: notes.length };
}

function more({ t }: Say, lines: readonly string[], all: number): readonly string[] {
  if (all <= lines.length) return lines;
  return [...lines, t('readback.derived.more', { count: all - lines.length })];
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
