import { columnsOfBar } from '../analysis';
import { fail, ok, type Path, type Result } from '../issue';
import type { Exercise } from '../recipe';
import type { Loop } from '../playing';
import { beats, countMark, tick, type Syllables } from '../time';

/** A place as it is typed: a bar, its beat, and what is counted after the beat: `2`, `1.3`, `1.3&`; `1.3.` is the
 * first slot of the beat alone. */
const PLACE = /^(\d{1,3})(?:\.(\d{1,2})(\S*))?$/u;

/** Reads a part of an exercise: a bar, several, beats or slots.
 * @returns issue `loop-part` where there is no such place, or its end is before its beginning
 * @example parseLoop('1-2', exercise) // => both bars  @example parseLoop('1.3&-2.1', exercise) // => from & of 3 through beat 1 */
export function parseLoop(
  text: string,
  exercise: Exercise,
  syllables?: Syllables,
  path: Path = ['loop'],
): Result<Loop> {
  const [first = '', last = first, ...rest] = text.trim().split(/\s*[-–]\s*/u);
  const from = spanOf(first, exercise, syllables);
  const to = spanOf(last, exercise, syllables);
  if (!from || !to || rest.length > 0 || to[1] <= from[0]) {
    return fail({ code: 'loop-part', path, text: text.trim(), bars: exercise.bars });
  }
  return ok({ from: tick(from[0]), to: tick(to[1]) });
}

/** What a typed place takes up, in ticks of the cycle; null where there is no such place. */
function spanOf(
  text: string,
  exercise: Exercise,
  syllables?: Syllables,
): readonly [from: number, to: number] | null {
  const [, bar, beat, syllable = ''] = PLACE.exec(text) ?? [];
  const { barTicks, meter, bars } = exercise;
  const start = (Number(bar) - 1) * barTicks;
  if (bar === undefined || Number(bar) < 1 || Number(bar) > bars) return null;
  if (beat === undefined) return [start, start + barTicks];
  const felt = beats(meter)[Number(beat) - 1];
  if (!felt) return null;
  const end = felt.at + felt.ticks;
  if (syllable === '') return [start + felt.at, start + end];
  const columns = columnsOfBar(exercise, Number(bar) - 1);
  const found = columns.findIndex((at) =>
    syllable === '.'
      ? at === felt.at
      : at > felt.at && at < end && countMark(at, meter, syllables).text === syllable,
  );
  const at = columns[found];
  return at === undefined ? null : [start + at, start + (columns[found + 1] ?? barTicks)];
}

/** A part as it would be typed. @example formatLoop(loop, exercise) // => '1.3&–2.1' */
export function formatLoop({ from, to }: Loop, exercise: Exercise, syllables?: Syllables): string {
  const { barTicks } = exercise;
  const first = Math.floor(from / barTicks) + 1;
  const last = Math.ceil(to / barTicks);
  if (from % barTicks === 0 && to % barTicks === 0) {
    return first === last ? String(first) : `${first}–${last}`;
  }
  const begin = placeOf(from, exercise, syllables);
  const end = lastPlace(to, exercise, syllables);
  return begin === end || `${begin}.` === end ? end : `${begin}–${end}`;
}

function placeOf(at: number, { barTicks, meter }: Exercise, syllables?: Syllables): string {
  const inBar = at % barTicks;
  const beat = beats(meter).findLastIndex((one) => one.at <= inBar);
  const isOn = beats(meter)[beat]?.at === inBar;
  const syllable = isOn ? '' : countMark(inBar, meter, syllables).text;
  return `${Math.floor(at / barTicks) + 1}.${beat + 1}${syllable}`;
}

/** The place that ends where the part does: a beat, or its last slot. */
function lastPlace(to: number, exercise: Exercise, syllables?: Syllables): string {
  const { barTicks, meter } = exercise;
  const bar = Math.ceil(to / barTicks) - 1;
  const inBar = to - bar * barTicks;
  const whole = beats(meter).findIndex((one) => one.at + one.ticks === inBar);
  if (whole >= 0) return `${bar + 1}.${whole + 1}`;
  const at = columnsOfBar(exercise, bar).findLast((column) => column < inBar) ?? 0;
  const place = placeOf(bar * barTicks + at, exercise, syllables);
  return beats(meter).some((one) => one.at === at) ? `${place}.` : place;
}
