import { barTicks, beatIndexAt, beats, quarters, wrap, type Meter } from '../time';
import { lineTicks, onsets, type ReadingLine } from './line';
import { soundingTicks } from './value';

/** How hard a line is to read, from 1 to 6: each grade has one new thing. Common practice, no source.
 * 1: notes and rests that begin on beats. 2: parts of beats (halves; 8ths in meters of 8ths), each beat with something in it
 * struck. 3: rests, dots and ties that leave a beat unstruck. 4: halves of those parts. 5: triplets, ties over the bar line,
 * and what 4 has with a beat unstruck. 6: triplets over two beats, sextuplets, fives, sevens and anything finer. In meters of
 * five, of seven or of unequal beats the easiest is 3.
 * @example `4 4 4 4` // => 1; `4 8 8 4 4` // => 2; `4. 4 8 4` // => 3 */
export function gradeLine(line: ReadingLine): number {
  const felt = beats(line.meter);
  const isOdd = felt.length % 5 === 0 || felt.length % 7 === 0 || felt.some(isOther);
  const signs = line.bars.flat();
  const figures = new Map<number, number>();
  for (const { value } of signs) {
    const { id } = value.tuplet ?? {};
    if (id !== undefined) figures.set(id, (figures.get(id) ?? 0) + soundingTicks(value));
  }
  const finest = Math.max(
    ...signs.map((sign) => {
      const { tuplet } = sign.value;
      if (!tuplet) return gradeOfPlace(sign.at, line.meter);
      return tuplet.played === 3 && figures.get(tuplet.id) === quarters(1) ? 5 : 6;
    }),
  );
  const isUnstruck = leavesBeats(line);
  const isOver = line.bars.some(
    (bar, index) => bar.at(-1)?.tied === true && index < line.bars.length - 1,
  );
  return Math.max(
    isOdd ? 3 : 1,
    isUnstruck ? 3 : 1,
    isOver || (finest === 4 && isUnstruck) ? 5 : 1,
    finest,
  );

  function isOther({ ticks }: { readonly ticks: number }): boolean {
    return ticks !== felt[0]?.ticks;
  }
}

/** 1, 2, 4 or 6, by where in its beat a note or rest begins. */
function gradeOfPlace(at: number, meter: Meter): number {
  const inBar = wrap(at, barTicks(meter));
  const beat = beats(meter)[beatIndexAt(meter, inBar)];
  const within = inBar - (beat?.at ?? 0);
  const part = meter.unit >= 8 ? quarters(4, meter.unit) : (beat?.ticks ?? quarters(1)) / 2;
  if (within === 0) return 1;
  if (within % part === 0) return 2;
  return within % (part / 2) === 0 ? 4 : 6;
}

/** Whether something is struck inside a beat that is not struck itself, or off a beat and sounds over the next. */
function leavesBeats(line: ReadingLine): boolean {
  const felt = beats(line.meter);
  const bar = barTicks(line.meter);
  const struck = new Set<number>(onsets(line).map(({ at }) => at));
  return onsets(line).some(({ at, sounds }) => {
    const from = at - wrap(at, bar);
    const beat = felt[beatIndexAt(line.meter, at - from)];
    if (!beat || from + beat.at === at) return false;
    const next = from + beat.at + beat.ticks;
    return !struck.has(from + beat.at) || (at + sounds > next && next < lineTicks(line));
  });
}
