import type { Surface } from './schedule';
import type { Hours } from './schedule-schema';

/** Time in one go on one surface. Seconds. */
export interface Stretch {
  readonly on: Surface;
  readonly seconds: number;
}

const DAY_MINUTES = 24 * 60;

/** The hours of a day as stretches in order: what would sound in the quiet hours is on the pad.
 * @example 45 minutes at the kit from 19:30, quiet from 20:00 // => 30 min kit, 15 min pad */
export function stretchesOf({ minutes, on, at, quiet }: Hours): readonly Stretch[] {
  if (minutes === 0) return [];
  if (on === 'pad' || !quiet) return [{ on, seconds: minutes * 60 }];
  const start = minuteOf(at);
  const found: { on: Surface; seconds: number }[] = [];
  for (let minute = start; minute < start + minutes; minute += 1) {
    const surface = isQuiet(minute % DAY_MINUTES, quiet) ? 'pad' : 'kit';
    const last = found.at(-1);
    if (last?.on === surface) last.seconds += 60;
    else found.push({ on: surface, seconds: 60 });
  }
  return found;
}

function isQuiet(minute: number, quiet: NonNullable<Hours['quiet']>): boolean {
  const [from, to] = [minuteOf(quiet.from), minuteOf(quiet.to)];
  return from <= to ? from <= minute && minute < to : minute >= from || minute < to;
}

/** @example minuteOf('18:30') // => 1110 */
function minuteOf(clock: string): number {
  const [hour = 0, minute = 0] = clock.split(':').map(Number);
  return hour * 60 + minute;
}
