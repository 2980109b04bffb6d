import { fail, ok, type Path, type Result } from '../issue';
import { countMark, SYLLABLES, tick, unitTicks, type Meter, type Syllables } from '../time';

/** Parts of a counted note that have a syllable, in twelfths; the beat has one in some systems. */
const TWELFTHS = [0, 3, 4, 6, 8, 9] as const;

/** Most readings of an ambiguous text, and most that are followed on the way. */
const MOST = 6;
const MOST_PARTIAL = 4000;

/** What plays in the bar already: where a reading is in doubt, what is nearest to it is meant. */
export interface PlayedPlaces {
  /** Places of the limb that is counted, from the start of the bar, rising. */
  readonly now: readonly number[];
  /** Places of all limbs. */
  readonly others: readonly number[];
}

/** Reads syllables as they are spoken, `1 & 3 &`: a number is its beat, a syllable belongs to a
 * beat from the last one on. `2&` is the "&" of 2 without the 2. Several beats may own a syllable:
 * all readings come back, those nearest to what is played first, then the earliest. `2/5` is the second
 * of five in a beat.
 * @param syllables how the studio counts; English is understood, too
 * @returns places in ticks from the start of the bar, rising; issue `count-token`
 * @example countPlaces('1 & 3 &', meter44) // => [[0, 10080, 40320, 50400], …] */
export function countPlaces(
  text: string,
  meter: Meter,
  path: Path,
  syllables: Syllables = SYLLABLES.english,
  played: PlayedPlaces = NOTHING,
): Result<readonly (readonly number[])[]> {
  const read = readPlaces(text, meter, path, syllables, played);
  if (read.ok || syllables === SYLLABLES.english) return read;
  const english = readPlaces(text, meter, path, SYLLABLES.english, played);
  return english.ok ? english : read;
}

const NOTHING: PlayedPlaces = { now: [], others: [] };

function readPlaces(
  text: string,
  meter: Meter,
  path: Path,
  syllables: Syllables,
  played: PlayedPlaces,
): Result<readonly (readonly number[])[]> {
  const unit = unitTicks(meter);
  const tokens = text.trim().split(/[\s,]+/);
  const now = new Set(played.now);
  let readings: readonly (readonly number[])[] = [[]];
  for (const token of tokens) {
    const choices = placesOf(token, meter, syllables, played);
    readings = readings.flatMap((reading) =>
      choices.filter((at) => at > (reading.at(-1) ?? -1)).map((at) => [...reading, at]),
    );
    if (readings.length === 0) {
      return fail({ code: 'count-token', path, token, beats: meter.count });
    }
    if (readings.length > MOST_PARTIAL) {
      readings = nearestFirst(readings, now, unit).slice(0, MOST_PARTIAL);
    }
  }
  return ok(nearestFirst(readings, now, unit).slice(0, MOST));
}

/** Those that keep most of what is played, of these the ones in earlier beats. */
function nearestFirst(
  readings: readonly (readonly number[])[],
  now: ReadonlySet<number>,
  unit: number,
): readonly (readonly number[])[] {
  const kept = (reading: readonly number[]) => reading.filter((at) => now.has(at)).length;
  return readings
    .map((reading) => ({ reading, kept: kept(reading), beats: sumOfBeats(reading, unit) }))
    .sort((a, b) => b.kept - a.kept || a.beats - b.beats)
    .map((one) => one.reading);
}

/** Earlier beats first, all syllables taken together. */
function sumOfBeats(reading: readonly number[], unit: number): number {
  return reading.reduce((sum, at) => sum + Math.floor(at / unit), 0);
}

/** Where in the bar a token may lie. */
function placesOf(
  token: string,
  meter: Meter,
  syllables: Syllables,
  { now, others }: PlayedPlaces,
): readonly number[] {
  const unit = unitTicks(meter);
  const [, nth, parts] = /^(\d{1,2})\/(\d{1,2})$/u.exec(token) ?? [];
  if (nth !== undefined && parts !== undefined) {
    const within = ((Number(nth) - 1) * unit) / Number(parts);
    const isPlace = Number.isInteger(within) && within >= 0 && within < unit;
    return isPlace ? Array.from({ length: meter.count }, (_, beat) => beat * unit + within) : [];
  }
  const match = /^(\d{1,2})?([^\d\s]+)?$/u.exec(token);
  if (!match) return [];
  const [, number, syllable] = match;
  const beats = Array.from({ length: meter.count }, (_, index) => index);
  const mine = number === undefined ? beats : beats.filter((beat) => beat === Number(number) - 1);
  if (syllable === undefined) return mine.map((beat) => beat * unit);
  const said = syllable.toLowerCase();
  const usual = mine.flatMap((beat) =>
    TWELFTHS.map((part) => beat * unit + (part * unit) / 12).filter(
      (at) => countMark(tick(at), meter, syllables).text.toLowerCase() === said,
    ),
  );
  const heard = [...now, ...others].filter(
    (at) =>
      mine.includes(Math.floor(at / unit)) &&
      countMark(tick(at), meter, syllables).text.toLowerCase() === said,
  );
  return [...new Set([...usual, ...heard])].sort((a, b) => a - b);
}
