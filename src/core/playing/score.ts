import { levelDb, texture, type Limb, type VoiceId } from '../kit';
import { figureOf, type Dynamic, type Ornament } from '../pattern';
import { soundingLength, soundsAt, type Exercise } from '../recipe';
import { beats, tempoBeatTicks, tick, wrap, type Tick } from '../time';

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
  | {
      readonly kind: 'click';
      readonly at: number;
      readonly level: 'bar' | 'group' | 'beat' | 'part';
      readonly sound: ClickSound;
    };

/** Where the click sounds after the count-in: on every felt beat, on every second one (2 and 4), on the beats
 * that the tempo counts and all alike, or not at all. */
export const CLICK_MODES = ['beats', 'second beats', 'pulse', 'off'] as const;

export type ClickMode = (typeof CLICK_MODES)[number];

/** What the click sounds like. */
export const CLICK_SOUNDS = ['beep', 'wood', 'stick', 'low'] as const;

export type ClickSound = (typeof CLICK_SOUNDS)[number];

/** Clicks to the shortest felt beat; longer ones have as many more. */
export const CLICK_PARTS = [1, 2, 3, 4] as const;

/** Bars in which the click sounds, `x`, and in which it is silent, `-`, over and over; empty where it always
 * sounds. @example 'xx--' */
export type ClickBars = string;

/** Most bars of such a pattern. */
const MOST_CLICK_BARS = 16;

/** @returns the pattern that was typed, spaces left out; null where it is none, or never sounds
 * @example readClickBars('x x - -') // => 'xx--' */
export function readClickBars(typed: string): ClickBars | null {
  const bars = typed.replace(/\s/g, '').toLowerCase();
  if (bars === '') return '';
  return /^[x-]+$/.test(bars) && bars.includes('x') && bars.length <= MOST_CLICK_BARS ? bars : null;
}

/** Whether the click is silent in a bar. @param bar from 0 */
export function isOut({ bars }: Pick<Score, 'bars'>, bar: number): boolean {
  return bars !== '' && bar >= 0 && bars[bar % bars.length] === '-';
}

function clicks(mode: ClickMode, beat: number): boolean {
  switch (mode) {
    case 'beats':
      return true;
    case 'second beats':
      return beat % 2 === 1;
    case 'pulse':
    case 'off':
      return false;
  }
}

/** What is played in a bar that was called: one of the exercise's own, or what the player makes up. */
export type Call = number | 'own';

/** How an exercise is to be played. */
export interface Score {
  readonly exercise: Exercise;
  readonly countInBars: number;
  /** Where playing ends; null loops until stopped. */
  readonly lengthTicks: Tick | null;
  readonly click: ClickMode;
  readonly sound: ClickSound;
  readonly parts: (typeof CLICK_PARTS)[number];
  /** Whether the first beat of a bar, and of a group, stands out. */
  readonly accents: boolean;
  /** In which bars it sounds. */
  readonly bars: ClickBars;
  readonly muted: ReadonlySet<Limb>;
  /** By bar, what was called; null plays the exercise as it is. */
  readonly calls: readonly Call[] | null;
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
      const loud = (exercise.levels ? levelDb(exercise.levels, voice) : 0) + db;
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

/** The cycle over and over, or bar by bar as they were called. */
function passesBetween({ exercise, calls }: Score, start: number, end: number): readonly Pass[] {
  const { cycleTicks, barTicks } = exercise;
  const length = calls ? barTicks : cycleTicks;
  const found: Pass[] = [];
  for (let pass = Math.max(0, Math.floor(start / length)); pass * length < end; pass += 1) {
    const call = calls ? (calls[pass] ?? 'own') : 0;
    if (call === 'own') continue;
    found.push({ base: pass * length, from: call * barTicks, length, first: pass === 0 });
  }
  return found;
}

/** Clicks on the felt beats; those of the count-in all sound, whatever the mode. */
function clicksBetween(score: Score, from: number, to: number): readonly SoundEvent[] {
  const { meter, barTicks } = score.exercise;
  const { sound } = score;
  const found: SoundEvent[] = [];
  for (let bar = Math.floor(from / barTicks); bar * barTicks < to; bar += 1) {
    for (const [index, beat] of beats(meter).entries()) {
      const at = bar * barTicks + beat.at;
      const counting = at < 0;
      const silent = isUntimed(score, Math.max(0, bar)) || isOut(score, bar);
      if (!counting && silent) continue;
      const strong = beat.at === 0 ? 'bar' : beat.group ? 'group' : 'beat';
      const level = counting || score.accents ? strong : 'beat';
      const sounds = counting || clicks(score.click, index);
      if (sounds && at >= from && at < to) found.push({ kind: 'click', at, level, sound });
      if (counting || score.click === 'off' || score.click === 'pulse') continue;
      for (const part of partsOfBeat(score, index)) {
        const place = at + part;
        if (place >= from && place < to)
          found.push({ kind: 'click', at: place, level: 'part', sound });
      }
    }
  }
  if (score.click !== 'pulse') return found;
  const pulse = tempoBeatTicks(meter);
  for (let at = pulse * Math.max(0, Math.ceil(from / pulse)); at < to; at += pulse) {
    const bar = Math.floor(at / barTicks);
    if (isUntimed(score, bar) || isOut(score, bar)) continue;
    found.push({ kind: 'click', at, level: 'beat', sound });
  }
  return found;
}

/** Where a felt beat is parted, in ticks from it; its own place left out. */
function partsOfBeat({ exercise, parts }: Score, index: number): readonly number[] {
  const all = [...beats(exercise.meter).map((one) => one.at), exercise.barTicks];
  const lengths = all.slice(1).map((next, at) => next - (all[at] ?? 0));
  const length = lengths[index] ?? 0;
  const count = Math.round((parts * length) / Math.min(...lengths));
  return Array.from({ length: count - 1 }, (_, part) => ((part + 1) * length) / count);
}

/** Whether a bar belongs to a part that has no click. Bars that are called are timed. */
function isUntimed({ exercise, calls }: Score, bar: number): boolean {
  if (calls) return false;
  const inCycle = bar % exercise.bars;
  return exercise.members.findLast(({ fromBar }) => fromBar <= inCycle)?.untimed ?? false;
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
    calls: null,
    ...rest,
  };
}
