import { fail, ok, type Path, type Result } from '../issue';
import { countMark, SYLLABLES, tick, unitTicks, type Meter, type Syllables } from '../time';

/** Parts of a counted note that have a syllable, in twelfths; the beat has one in some systems. */
const TWELFTHS = [0, 2, 3, 4, 6, 8, 9, 10] as const;

/** Most readings of an ambiguous text, and most that are followed on the way. */
const MOST = 6;
const MOST_PARTIAL = 4000;

/** Reads syllables as they are spoken, `1 & 3 &`: a number is its beat, a syllable belongs to a
 * beat from the last one on. `2&` is the "&" of 2 without the 2. Several beats may own a syllable:
 * all readings come back, the earliest first.
 * @param syllables how the studio counts; English is understood, too
 * @returns places in ticks from the start of the bar, rising; issue `count-token`
 * @example countPlaces('1 & 3 &', meter44) // => [[0, 10080, 40320, 50400], …] */
export function countPlaces(
  text: string,
  meter: Meter,
  path: Path,
  syllables: Syllables = SYLLABLES.english,
): Result<readonly (readonly number[])[]> {
  const read = readPlaces(text, meter, path, syllables);
  if (read.ok || syllables === SYLLABLES.english) return read;
  const english = readPlaces(text, meter, path, SYLLABLES.english);
  return english.ok ? english : read;
}

function readPlaces(
  text: string,
  meter: Meter,
  path: Path,
  syllables: Syllables,
): Result<readonly (readonly number[])[]> {
  const unit = unitTicks(meter);
  const tokens = text.trim().split(/[\s,]+/);
  let readings: readonly (readonly number[])[] = [[]];
  for (const token of tokens) {
    const choices = placesOf(token, meter, syllables);
    if (choices.length === 0) return fail({ code: 'count-token', path, token, beats: meter.count });
    readings = readings
      .flatMap((reading) =>
        choices.filter((at) => at > (reading.at(-1) ?? -1)).map((at) => [...reading, at]),
      )
      .slice(0, MOST_PARTIAL);
    if (readings.length === 0)
      return fail({ code: 'count-token', path, token, beats: meter.count });
  }
  return ok([...readings].sort((a, b) => sumOfBeats(a, unit) - sumOfBeats(b, unit)).slice(0, MOST));
}

/** Earlier beats first, all syllables taken together. */
function sumOfBeats(reading: readonly number[], unit: number): number {
  return reading.reduce((sum, at) => sum + Math.floor(at / unit), 0);
}

/** Where in the bar a token may lie. */
function placesOf(token: string, meter: Meter, syllables: Syllables): readonly number[] {
  const unit = unitTicks(meter);
  const match = /^(\d{1,2})?([^\d\s·]+)?$/u.exec(token);
  if (!match) return [];
  const [, number, syllable] = match;
  const beats = Array.from({ length: meter.count }, (_, index) => index);
  const mine = number === undefined ? beats : beats.filter((beat) => beat === Number(number) - 1);
  if (syllable === undefined) return mine.map((beat) => beat * unit);
  const said = syllable.toLowerCase();
  const parts = TWELFTHS.filter((part) => {
    const mark = countMark(tick((part * unit) / 12), meter, syllables);
    return mark.text.toLowerCase() === said;
  });
  return mine.flatMap((beat) => parts.map((part) => beat * unit + (part * unit) / 12));
}
