import { instantsOf } from '../analysis';
import type { Limb } from '../kit';
import type { Verdict } from '../log';
import { beatPlaces } from '../ladder';
import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tempo, type Tick } from '../time';

/** From one set of limbs to the next, within a band of time, as tries of any exercise pass it. */
export interface Crossing {
  /** Names limb sets and band, the same in every exercise. */
  readonly key: string;
  readonly from: readonly Limb[];
  readonly to: readonly Limb[];
  readonly band: Band;
}

/** From one event of an exercise to the next, as it is counted.
 * @param meter as `4/4`  @param bar from 1; null in an exercise of one bar  @param from ticks in the cycle */
export interface StepPlace {
  readonly meter: string;
  readonly bar: number | null;
  readonly from: number;
  readonly to: number;
}

/** A crossing in its place in an exercise. */
export interface PlacedCrossing extends Crossing {
  readonly fromAt: Tick;
  readonly toAt: Tick;
  readonly gapMs: number;
  /** The felt beat of the cycle on which it arrives, from 0. */
  readonly beat: number;
}

/** What a student's tries say about a crossing. */
export interface CrossingCount extends Crossing {
  readonly breaks: number;
  readonly passes: number;
  /** Likely share of tries that break there, 0 to 1. */
  readonly weakness: number;
  /** The item in which it broke last, and where; null where it never broke. */
  readonly lately: { readonly item: string; readonly fromAt: Tick; readonly toAt: Tick } | null;
}

/** Edges of the bands in ms: neighbours feel alike within one. Common practice, no source. */
const EDGES_MS = [100, 150, 220, 320, 470, 700] as const;

/** How fast one event follows another: gaps from so many ms up to, not including, so many; open at the ends. */
export interface Band {
  readonly from: number | null;
  readonly to: number | null;
}

const BANDS: readonly Band[] = [null, ...EDGES_MS].map((from, index) => ({
  from,
  to: EDGES_MS[index] ?? null,
}));

/** @example bandOf(214) // => { from: 150, to: 220 } */
export function bandOf(gapMs: number): Band {
  const found = BANDS.find(({ to }) => to === null || gapMs < to);
  return found ?? { from: null, to: null };
}

/** Names a band in keys, which are kept. */
function bandId({ from, to }: Band): string {
  if (from === null) return `under ${to} ms`;
  return to === null ? `over ${from} ms` : `${from}–${to} ms`;
}

interface Step {
  readonly from: readonly Limb[];
  readonly to: readonly Limb[];
  readonly limbs: string;
  readonly fromAt: Tick;
  readonly toAt: Tick;
  /** As it sounds; fractional where a swing is heard. */
  readonly gapTicks: number;
  readonly beat: number;
}

const STEPS = new WeakMap<Exercise, readonly Step[]>();

/** The steps of an exercise without a tempo; made once for each. */
function stepsOf(exercise: Exercise): readonly Step[] {
  let found = STEPS.get(exercise);
  if (!found) {
    const chain = instantsOf(exercise);
    const places = beatPlaces(exercise);
    found = chain.flatMap((one, index): Step[] => {
      const next = chain[(index + 1) % chain.length];
      if (!next || chain.length < 2) return [];
      const later = next.soundsTicks - one.soundsTicks;
      const gapTicks = later + (later <= 0 ? exercise.cycleTicks : 0);
      const beat = places.findLastIndex(({ at }) => at <= next.at);
      const { limbs: from } = one;
      const { limbs: to } = next;
      const limbs = `${from.join('+')} > ${to.join('+')}`;
      return [{ from, to, limbs, fromAt: one.at, toAt: next.at, gapTicks, beat }];
    });
    STEPS.set(exercise, found);
  }
  return found;
}

/** The crossings of an exercise at a tempo, over the cycle, the one across the seam last. */
export function crossingsOf(exercise: Exercise, tempo: Tempo): readonly PlacedCrossing[] {
  return stepsOf(exercise).map(({ from, to, limbs, fromAt, toAt, gapTicks, beat }) => {
    const gapMs = ticksToSeconds(gapTicks, tempo) * 1000;
    const band = bandOf(gapMs);
    return {
      key: `${limbs} ${bandId(band)}`,
      from,
      to,
      band,
      fromAt,
      toAt,
      gapMs,
      beat,
    };
  });
}

/** One try, with what was played in it. */
export interface PlayedTry {
  readonly item: string;
  readonly exercise: Exercise;
  readonly tempo: Tempo;
  readonly verdict: Verdict;
  /** Felt beats of the cycle on which it broke, from 0. */
  readonly broke: readonly number[];
}

/** What is known before anything is: one try in twenty breaks at a crossing. Common practice, no
 * source; weighs as much as twenty tries. */
const KNOWN_BEFORE = { breaks: 1, tries: 20 } as const;

/** @example weakness of 5 breaks in 10 tries // => 0.2, of none in 80 // => 0.01 */
export function weaknessOf(breaks: number, passes: number): number {
  return (breaks + KNOWN_BEFORE.breaks) / (breaks + passes + KNOWN_BEFORE.tries);
}

type Count = {
  -readonly [Key in keyof Crossing | 'breaks' | 'passes' | 'lately']: CrossingCount[Key];
};

/** Breaks and passes of every crossing, try by try. A clean try passes them all; one that broke on a beat
 * breaks those that arrive on it and passes the others; one that was not clean and says no beat tells
 * nothing. */
export class CrossingTally {
  #counts = new Map<string, Count>();
  /** The counts that a clean try passes, by what was played and how fast. */
  #passed = new Map<Exercise, Map<number, readonly Count[]>>();

  /** One try more; the oldest comes first. */
  add({ item, exercise, tempo, verdict, broke }: PlayedTry): void {
    if (verdict === 'clean') {
      for (const count of this.#countsOf(exercise, tempo)) count.passes += 1;
      return;
    }
    if (broke.length === 0) return;
    const broken = new Map<Count, PlacedCrossing | null>();
    for (const crossing of crossingsOf(exercise, tempo)) {
      const count = this.#count(crossing);
      if (broke.includes(crossing.beat)) broken.set(count, crossing);
      else if (!broken.has(count)) broken.set(count, null);
    }
    for (const [count, at] of broken) {
      if (at === null) count.passes += 1;
      else {
        count.breaks += 1;
        count.lately = { item, fromAt: at.fromAt, toAt: at.toAt };
      }
    }
  }

  counts(): readonly Readonly<Count>[] {
    return [...this.#counts.values()];
  }

  copy(): CrossingTally {
    const copy = new CrossingTally();
    copy.#counts = new Map([...this.#counts].map(([key, count]) => [key, { ...count }]));
    return copy;
  }

  #count({ key, from, to, band }: Crossing): Count {
    let count = this.#counts.get(key);
    if (!count) {
      count = { key, from, to, band, breaks: 0, passes: 0, lately: null };
      this.#counts.set(key, count);
    }
    return count;
  }

  #countsOf(exercise: Exercise, tempo: Tempo): readonly Count[] {
    let byBpm = this.#passed.get(exercise);
    if (!byBpm) this.#passed.set(exercise, (byBpm = new Map()));
    let counts = byBpm.get(tempo.bpm);
    if (!counts) {
      counts = [...new Set(crossingsOf(exercise, tempo).map((one) => this.#count(one)))];
      byBpm.set(tempo.bpm, counts);
    }
    return counts;
  }
}

/** What several tallies say together, those of one item after the other.
 * @returns weakest first */
export function countCrossings(tallies: readonly CrossingTally[]): readonly CrossingCount[] {
  const counts = new Map<string, Count>();
  for (const one of tallies.flatMap((tally) => tally.counts())) {
    const count = counts.get(one.key);
    if (!count) {
      counts.set(one.key, { ...one });
      continue;
    }
    count.breaks += one.breaks;
    count.passes += one.passes;
    count.lately = one.lately ?? count.lately;
  }
  return [...counts.values()]
    .map((count) => ({ ...count, weakness: weaknessOf(count.breaks, count.passes) }))
    .sort(
      (a, b) => b.weakness - a.weakness || b.breaks - a.breaks || lastBrokenAt(a) - lastBrokenAt(b),
    );
}

/** Of equals the earlier comes first: it is what leads into the beat. */
function lastBrokenAt({ lately }: Pick<CrossingCount, 'lately'>): number {
  return lately?.toAt ?? 0;
}

/** Fewer breaks than this may be chance. */
const FEWEST_BREAKS = 2;

/** Weaker than this is worth a loop of its own; common practice, no source. */
const WEAK_FROM = 0.1;

/** The crossings that are weak, weakest first. */
export function weakCrossings(counts: readonly CrossingCount[]): readonly CrossingCount[] {
  return counts.filter((one) => one.breaks >= FEWEST_BREAKS && one.weakness >= WEAK_FROM);
}

/** What of a student's weak crossings lies in an exercise. */
export interface Risk {
  /** Likely share of tries that break on one of them, 0 to 1. */
  readonly chance: number;
  readonly at: readonly (PlacedCrossing & Pick<CrossingCount, 'breaks' | 'passes'>)[];
}

/** @param weak of `weakCrossings` */
export function riskOf(exercise: Exercise, tempo: Tempo, weak: readonly CrossingCount[]): Risk {
  const known = new Map(weak.map((one) => [one.key, one]));
  const at = new Map<string, Risk['at'][number]>();
  let passes = 1;
  for (const crossing of crossingsOf(exercise, tempo)) {
    const found = known.get(crossing.key);
    if (!found || at.has(crossing.key)) continue;
    passes *= 1 - found.weakness;
    at.set(crossing.key, { ...crossing, breaks: found.breaks, passes: found.passes });
  }
  return { chance: 1 - passes, at: [...at.values()] };
}
