import { levelDb, texture, type Limb, type VoiceId } from '../kit';
import { isTail, type Dynamic, type Ornament } from '../pattern';
import type { Exercise } from '../recipe';
import { beats, quarters, swungTicks, tick, wrap, type Tick } from '../time';

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
      /** Factor of the pitch, by how the stroke is made; 1 is the usual way. */
      readonly pitch: number;
    }
  | { readonly kind: 'click'; readonly at: number; readonly level: 'bar' | 'group' | 'beat' };

/** A diddle halves a 16th. */
const SECOND_OF_A_DIDDLE = quarters(1, 8);

/** Where the click sounds after the count-in: on every felt beat, on every second one (2 and 4), for two
 * bars and then not for two, or not at all. */
export type ClickMode = 'beats' | 'second beats' | 'drops out' | 'off';

const BARS_TO_DROP_OUT = 2;

function clicks(mode: ClickMode, bar: number, beat: number): boolean {
  switch (mode) {
    case 'beats':
      return true;
    case 'second beats':
      return beat % 2 === 1;
    case 'drops out':
      return Math.floor(bar / BARS_TO_DROP_OUT) % 2 === 0;
    case 'off':
      return false;
  }
}

/** How an exercise is to be played. */
export interface Score {
  readonly exercise: Exercise;
  readonly countInBars: number;
  /** Where playing ends; null loops until stopped. */
  readonly lengthTicks: Tick | null;
  readonly click: ClickMode;
  readonly muted: ReadonlySet<Limb>;
}

/** Everything whose notated place lies in a window. Swing only delays, so that what belongs to a
 * window is never due before it.
 * @param from inclusive  @param to exclusive; both in ticks from the downbeat
 * @returns in order of notated place */
export function eventsBetween(score: Score, from: number, to: number): readonly SoundEvent[] {
  const { exercise } = score;
  const end = Math.min(to, score.lengthTicks ?? Infinity);
  const start = Math.max(from, -score.countInBars * exercise.barTicks);
  const found: SoundEvent[] = [];
  if (end <= start) return found;
  for (const click of clicksBetween(score, start, end)) found.push(click);
  for (
    let pass = Math.max(0, Math.floor(start / exercise.cycleTicks));
    pass * exercise.cycleTicks < end;
    pass += 1
  ) {
    const base = pass * exercise.cycleTicks;
    for (const stroke of exercise.strokes) {
      const at = base + stroke.at;
      if (at < start || at >= end) continue;
      if (score.muted.has(stroke.limb) || (pass === 0 && isTail(stroke))) continue;
      const { limb, voice, dynamic } = stroke;
      const made = stroke.texture ? texture(stroke.texture) : null;
      const db = (exercise.levels ? levelDb(exercise.levels, voice) : 0) + (made?.db ?? 0);
      const ornament = stroke.ornament ?? null;
      const pitch = made?.pitch ?? 1;
      const event = { kind: 'stroke', limb, voice, dynamic, db, ornament, pitch } as const;
      const due = swungTicks(at, exercise.feel);
      found.push({ ...event, at: due });
      if (ornament === 'diddle') {
        found.push({ ...event, at: due + SECOND_OF_A_DIDDLE, ornament: null });
      }
    }
  }
  return found.sort((a, b) => a.at - b.at);
}

/** Clicks on the felt beats; those of the count-in all sound, whatever the mode. */
function clicksBetween(score: Score, from: number, to: number): readonly SoundEvent[] {
  const { meter, barTicks } = score.exercise;
  const found: SoundEvent[] = [];
  for (let bar = Math.floor(from / barTicks); bar * barTicks < to; bar += 1) {
    for (const [index, beat] of beats(meter).entries()) {
      const at = bar * barTicks + beat.at;
      if (at < from || at >= to || (at >= 0 && !clicks(score.click, bar, index))) continue;
      found.push({
        kind: 'click',
        at,
        level: beat.at === 0 ? 'bar' : beat.group ? 'group' : 'beat',
      });
    }
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
}

/** @param at ticks from the downbeat; negative during the count-in */
export function positionAt(score: Score, at: number): Position {
  const { barTicks, cycleTicks, meter } = score.exercise;
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
    };
  }
  return {
    phase: over ? 'over' : 'playing',
    bar,
    beat,
    inCycle: wrap(at, cycleTicks),
    barsLeft: bars === null ? null : Math.max(0, bars - bar - 1),
  };
}

/** An endless loop, or so many bars. @param bars null loops */
export function scoreOf(
  exercise: Exercise,
  options: Partial<Omit<Score, 'exercise'>> & { bars?: number | null } = {},
): Score {
  const { bars = null, ...rest } = options;
  return {
    exercise,
    countInBars: 1,
    lengthTicks: bars === null ? null : tick(bars * exercise.barTicks),
    click: 'beats',
    muted: new Set(),
    ...rest,
  };
}
