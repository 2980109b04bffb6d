import { fail, ok, type Path, type Result } from '../issue';
import { tempoBeatTicks, type Meter } from './meter';
import type { Tick } from './tick';

declare const bpmBrand: unique symbol;

/** Beats a minute, 20 to 400. */
export type Bpm = number & { readonly [bpmBrand]: true };

export const SLOWEST = 20;
export const FASTEST = 400;

/** A tempo and the note it counts. */
export interface Tempo {
  readonly bpm: Bpm;
  readonly beatTicks: Tick;
}

/** @returns issue `tempo` outside 20–400 or where the text is no number */
export function parseBpm(text: string | number, path: Path = ['tempo']): Result<Bpm> {
  const value = typeof text === 'number' ? text : Number(text.trim() || NaN);
  if (!Number.isFinite(value) || value < SLOWEST || value > FASTEST) {
    return fail({ code: 'tempo', path, text: String(text), least: SLOWEST, most: FASTEST });
  }
  return ok(value as Bpm);
}

/** @throws RangeError outside 20–400 (a caller's bug; input goes through `parseBpm`) */
export function bpm(value: number): Bpm {
  const parsed = parseBpm(value);
  if (!parsed.ok) throw new RangeError(`${value} is not a tempo`);
  return parsed.value;
}

export function tempoFor(meter: Meter, beatsPerMinute: Bpm): Tempo {
  return { bpm: beatsPerMinute, beatTicks: tempoBeatTicks(meter) };
}

/** The one way from ticks to seconds: t = ticks / ticks a beat · 60 / bpm.
 * @example ticksToSeconds(quarters(2), { bpm: bpm(70), beatTicks: TICKS_PER_QUARTER }) // => 1.714… */
export function ticksToSeconds(ticks: number, tempo: Tempo): number {
  return ((ticks / tempo.beatTicks) * 60) / tempo.bpm;
}

/** The reverse of `ticksToSeconds`; a derived, fractional number for drawing a playhead. */
export function secondsToTicks(seconds: number, tempo: Tempo): number {
  return (seconds * tempo.bpm * tempo.beatTicks) / 60;
}

/** Longest pause between taps that still belong together; a slower tempo than 20 is not ours. */
const TAP_PAUSE_MS = 60_000 / SLOWEST;

/** Tempo of tapped beats, from the median interval of the last taps.
 * @param tapsMs instants in ms, rising
 * @returns whole bpm, or null with fewer than two taps or outside 20–400 */
export function tempoOfTaps(tapsMs: readonly number[]): Bpm | null {
  const intervals: number[] = [];
  for (let i = tapsMs.length - 1; i > 0 && intervals.length < 6; i -= 1) {
    const interval = (tapsMs[i] ?? 0) - (tapsMs[i - 1] ?? 0);
    if (interval <= 0 || interval > TAP_PAUSE_MS) break;
    intervals.push(interval);
  }
  if (intervals.length === 0) return null;
  const sorted = intervals.sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  const median =
    sorted.length % 2 === 1
      ? (sorted[middle] ?? 0)
      : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
  const parsed = parseBpm(Math.round(60_000 / median));
  return parsed.ok ? parsed.value : null;
}
