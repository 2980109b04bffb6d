import type { Exercise } from '../recipe';
import { beats, tempoBeatTicks, type Tick } from '../time';

/** Where the click sounds after the count-in: on every felt beat, on every second one (2 and 4), on the beats
 * that the tempo counts and all alike, or not at all. */
export const CLICK_MODES = ['beats', 'second beats', 'pulse', 'off'] as const;

export type ClickMode = (typeof CLICK_MODES)[number];

/** What the click sounds like. */
export const CLICK_SOUNDS = ['beep', 'wood', 'stick', 'low', 'clave', 'cowbell', 'shaker'] as const;

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
export function isOut({ bars }: Pick<Clicks, 'bars'>, bar: number): boolean {
  return bars !== '' && bar >= 0 && bars[bar % bars.length] === '-';
}

/** What is played in a bar that was called: one of the exercise's own, or what the player makes up. */
export type Call = number | 'own';

/** A part of the cycle that is played over and over: from its first slot up to, not including, `to`, in ticks of
 * the cycle. */
export interface Loop {
  readonly from: Tick;
  readonly to: Tick;
}

/** What the click goes by. */
export interface Clicks {
  readonly exercise: Exercise;
  readonly click: ClickMode;
  readonly sound: ClickSound;
  readonly parts: (typeof CLICK_PARTS)[number];
  /** Whether the first beat of a bar, and of a group, stands out. */
  readonly accents: boolean;
  /** In which bars it sounds. */
  readonly bars: ClickBars;
  /** What of the cycle is played; null is all of it. */
  readonly loop: Loop | null;
  /** By bar, what was called; null plays the exercise as it is. */
  readonly calls: readonly Call[] | null;
}

/** One click, in fractional ticks from the downbeat after the count-in. */
export interface ClickEvent {
  readonly kind: 'click';
  readonly at: number;
  readonly level: 'bar' | 'group' | 'beat' | 'part';
  readonly sound: ClickSound;
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

/** Clicks of the count-in, and of the cycle or of the part of it that goes round. */
export function clicksBetween(score: Clicks, from: number, to: number): readonly ClickEvent[] {
  const { loop, calls } = score;
  if (!loop || calls) return clicksOfCycle(score, from, to);
  const length = loop.to - loop.from;
  const found = [...clicksOfCycle(score, from, Math.min(0, to))];
  for (let pass = Math.max(0, Math.floor(from / length)); pass * length < to; pass += 1) {
    const ahead = pass * length - loop.from;
    const first = Math.max(loop.from, from - ahead);
    const last = Math.min(loop.to, to - ahead);
    for (const click of clicksOfCycle(score, first, last)) {
      found.push({ ...click, at: click.at + ahead });
    }
  }
  return found;
}

/** Clicks on the felt beats; those of the count-in all sound, whatever the mode. */
function clicksOfCycle(score: Clicks, from: number, to: number): readonly ClickEvent[] {
  if (to <= from) return [];
  const { meter, barTicks } = score.exercise;
  const { sound } = score;
  const found: ClickEvent[] = [];
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
function partsOfBeat({ exercise, parts }: Clicks, index: number): readonly number[] {
  const all = [...beats(exercise.meter).map((one) => one.at), exercise.barTicks];
  const lengths = all.slice(1).map((next, at) => next - (all[at] ?? 0));
  const length = lengths[index] ?? 0;
  const count = Math.round((parts * length) / Math.min(...lengths));
  return Array.from({ length: count - 1 }, (_, part) => ((part + 1) * length) / count);
}

/** Whether a bar belongs to a part that has no click. Bars that are called are timed. */
function isUntimed({ exercise, calls }: Clicks, bar: number): boolean {
  if (calls) return false;
  const inCycle = bar % exercise.bars;
  return exercise.members.findLast(({ fromBar }) => fromBar <= inCycle)?.untimed ?? false;
}
