import { barTicks, beats, gcd, onBeat, syncopatedNotes, TICKS_PER_QUARTER } from '../time';
import { lineTicks, onsets, type ReadingLine } from './line';

/** How hard a line is to read, from 1 to 8: the finest grid first, then syncopation for each bar,
 * rests on a beat, and a meter other than 2, 3 or 4 quarters. Common practice, no source.
 * @example `4 4 4 4` // => 1; `4. 4 8 4` // => 3 */
export function gradeLine(line: ReadingLine): number {
  const found = onsets(line);
  const cycle = lineTicks(line);
  const bars = cycle / barTicks(line.meter);
  const places = found.map((onset) => onset.at as number);
  const grid = places.reduce((sum, at) => gcd(sum, at), TICKS_PER_QUARTER as number);
  const beat = beats(line.meter)[0]?.ticks ?? cycle;
  const against = syncopatedNotes(places, cycle, gcd(grid, beat), line.meter);
  const syncopation = against.reduce((sum, one) => sum + one.value, 0) / bars;
  const silent = line.bars
    .flat()
    .filter((sign) => sign.kind === 'rest' && onBeat(sign.at, line.meter)).length;
  const odd = line.meter.unit === 4 && line.meter.count <= 4 ? 0 : 1;
  const sum = gridGrade(grid) + syncopation / 3 + silent / bars / 4 + odd;
  return Math.max(1, Math.min(8, Math.round(sum)));
}

function gridGrade(grid: number): number {
  const parts = TICKS_PER_QUARTER / grid;
  if (parts <= 1) return 1;
  if (parts === 2) return 2;
  return parts === 3 || parts === 6 ? 3.5 : 4;
}
