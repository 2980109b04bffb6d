import { secondsToTicks, ticksToSeconds, type Tempo } from './tempo';

/** From a place on, another tempo. Places in ticks from the downbeat. */
export interface TempoChange {
  readonly at: number;
  readonly tempo: Tempo;
}

/** Tempi one after the other, by rising place; the first holds from the start, count-in included. */
export type TempoMap = readonly [TempoChange, ...TempoChange[]];

/** One tempo throughout. */
export function steadyTempo(tempo: Tempo): TempoMap {
  return [{ at: 0, tempo }];
}

/** Seconds from the downbeat to a place; negative before it.
 * @example secondsAt([{ at: 0, tempo: 60 bpm }, { at: one beat, tempo: 120 bpm }], two beats) // => 1.5 */
export function secondsAt(map: TempoMap, ticks: number): number {
  let seconds = 0;
  for (const [index, { at, tempo }] of map.entries()) {
    const from = index === 0 ? 0 : at;
    const end = map[index + 1]?.at ?? Infinity;
    if (ticks <= end) return seconds + ticksToSeconds(ticks - from, tempo);
    seconds += ticksToSeconds(end - from, tempo);
  }
  return seconds;
}

/** The reverse of `secondsAt`; a derived, fractional number. */
export function ticksAt(map: TempoMap, seconds: number): number {
  let before = 0;
  for (const [index, { at, tempo }] of map.entries()) {
    const from = index === 0 ? 0 : at;
    const end = map[index + 1]?.at ?? Infinity;
    const lasts = ticksToSeconds(end - from, tempo);
    if (seconds <= before + lasts) return from + secondsToTicks(seconds - before, tempo);
    before += lasts;
  }
  return 0;
}
