import { levelDb, texture, type Limb, type VoiceId } from '../kit';
import { figureOf, type Dynamic, type Ornament } from '../pattern';
import { soundingLength, soundsAt, type Exercise } from '../recipe';
import { beats, tick, wrap, type Tick } from '../time';
import { clicksBetween, type Call, type ClickBars, type ClickEvent, type Clicks } from './clicks';

/** What is to be heard, in fractional ticks from the downbeat after the count-in; the count-in
 * itself lies before 0. */
export type SoundEvent =
  | {
      readonly kind: 'stroke';
      readonly at: number;
      readonly limb: Limb;
      readonly voice: VoiceId;
      readonly dynamic: Dynamic;
      /** How loud the voice is in its style, in decibels; 0 is full. */
      readonly db: number;
      /** Grace notes before it, or what the stroke turns into; null is a plain stroke. */
      readonly ornament: Ornament | null;
      /** Between its grace notes; as usual when left out. */
      readonly graceMs?: number | undefined;
      /** Factor of the pitch, by how the stroke is made; 1 is the usual way. */
      readonly pitch: number;
    }
  | ClickEvent;

/** How an exercise is to be played. */
export interface Score extends Clicks {
  readonly countInBars: number;
  /** Where playing ends; null loops until stopped. */
  readonly lengthTicks: Tick | null;
  readonly muted: ReadonlySet<Limb>;
  /** Decibels more, or less, for a voice. */
  readonly mix: Readonly<Partial<Record<VoiceId, number>>>;
}

/** Everything that is due in a window; grace notes come with their stroke, and what a diddle or a roll
 * goes on with, too.
 * @param from inclusive  @param to exclusive; both in ticks from the downbeat
 * @returns in order of time */
export function eventsBetween(score: Score, from: number, to: number): readonly SoundEvent[] {
  const { exercise } = score;
  const end = Math.min(to, score.lengthTicks ?? Infinity);
  const start = Math.max(from, -score.countInBars * exercise.barTicks);
  const found: SoundEvent[] = [];
  if (end <= start) return found;
  for (const click of clicksBetween(score, start, end)) found.push(click);
  for (const { base, from, length, first } of passesBetween(score, start, end)) {
    for (const stroke of exercise.strokes) {
      if (stroke.at < from || stroke.at >= from + length || (first && stroke.tail)) continue;
      const due = base + soundsAt(stroke, exercise) - from;
      if (due < start || due >= end) continue;
      const { voice, dynamic, texture: made } = stroke;
      const { db = 0, pitch = 1 } = made ? texture(made) : {};
      const level = exercise.levels ? levelDb(exercise.levels, voice) : 0;
      const loud = level + db + (score.mix[voice] ?? 0);
      const event = { kind: 'stroke', voice, dynamic, db: loud, pitch } as const;
      const lasts = stroke.ornament ? soundingLength(stroke, exercise) : 0;
      for (const { kind, limb, share } of figureOf(stroke)) {
        if (kind === 'grace' || score.muted.has(limb)) continue;
        const ornament = kind === 'main' ? (stroke.ornament ?? null) : null;
        const { graceMs } = stroke;
        found.push({ ...event, limb, at: due + share * lasts, ornament, graceMs });
      }
    }
  }
  return found.sort((a, b) => a.at - b.at);
}

interface Pass {
  /** Where it begins, in ticks from the downbeat. */
  readonly base: number;
  /** What of the cycle is played. */
  readonly from: number;
  readonly length: number;
  /** Nothing came before it. */
  readonly first: boolean;
}

/** The cycle over and over, a part of it, or bar by bar as they were called. */
function passesBetween(
  { exercise, calls, loop }: Score,
  start: number,
  end: number,
): readonly Pass[] {
  const { cycleTicks, barTicks } = exercise;
  const part = loop ?? { from: 0, to: cycleTicks };
  const length = calls ? barTicks : part.to - part.from;
  const found: Pass[] = [];
  for (let pass = Math.max(0, Math.floor(start / length)); pass * length < end; pass += 1) {
    const call = calls ? (calls[pass] ?? 'own') : 0;
    if (call === 'own') continue;
    const from = calls ? call * barTicks : part.from;
    found.push({ base: pass * length, from, length, first: pass === 0 && from === 0 });
  }
  return found;
}

/** Where playing stands, as musicians say it. */
export interface Position {
  readonly phase: 'count-in' | 'playing' | 'over';
  /** Bar from 0 within the whole try; within the count-in while counting in. */
  readonly bar: number;
  /** Felt beat from 0 within the bar. */
  readonly beat: number;
  /** Place within the cycle, for the playhead. */
  readonly inCycle: number;
  /** Bars still to come, the present one not counted; null when looping. */
  readonly barsLeft: number | null;
  /** What was called for this bar; null where nothing is called. */
  readonly call: Call | null;
}

/** @param at ticks from the downbeat; negative during the count-in */
export function positionAt(score: Score, at: number): Position {
  const { barTicks, cycleTicks, meter } = score.exercise;
  if (score.loop && !score.calls && at >= 0) {
    const { from, to } = score.loop;
    return positionAt({ ...score, loop: null }, from + wrap(at, to - from));
  }
  const inBar = wrap(at, barTicks);
  const beat = Math.max(
    0,
    beats(meter).findLastIndex((one) => one.at <= inBar),
  );
  const over = score.lengthTicks !== null && at >= score.lengthTicks;
  const bar = Math.floor(at / barTicks);
  const bars = score.lengthTicks === null ? null : Math.ceil(score.lengthTicks / barTicks);
  if (at < 0) {
    return {
      phase: 'count-in',
      bar: bar + score.countInBars,
      beat,
      inCycle: 0,
      barsLeft: bars,
      call: null,
    };
  }
  const call = score.calls ? (score.calls[bar] ?? 'own') : null;
  return {
    phase: over ? 'over' : 'playing',
    bar,
    beat,
    call,
    inCycle: typeof call === 'number' ? call * barTicks + inBar : wrap(at, cycleTicks),
    barsLeft: bars === null ? null : Math.max(0, bars - bar - 1),
  };
}

/** An endless loop, or so many bars. @param bars null loops */
export function scoreOf(
  exercise: Exercise,
  options: Partial<Omit<Score, 'exercise' | 'bars'>> & {
    /** How many are played; null loops. */
    bars?: number | null;
    clickBars?: ClickBars;
  } = {},
): Score {
  const { bars = null, clickBars = '', ...rest } = options;
  return {
    exercise,
    countInBars: 1,
    lengthTicks: bars === null ? null : tick(bars * exercise.barTicks),
    click: 'beats',
    sound: 'beep',
    parts: 1,
    accents: true,
    bars: clickBars,
    muted: new Set(),
    mix: {},
    loop: null,
    calls: null,
    ...rest,
  };
}
