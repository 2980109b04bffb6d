import type { Exercise } from '../recipe';
import { wrap } from '../time';
import { instantsOf } from './instants';
import { soundCode, strokeCode } from './stroke-code';

/** How two exercises are one and the same. `limbs`: the same sound, played by other limbs. */
export interface Disguise {
  readonly kind: 'same' | 'rotated' | 'limbs';
  /** Ticks that the other one lies later, within its cycle. */
  readonly laterTicks: number;
}

type Sameness = 'limbs' | 'sound';

/** The shape of an exercise: a text that is equal for exercises that are equal up to where they begin, with
 * limbs or only as they sound, a repeated part counted once; where it begins, and after how long it comes
 * again, in ticks. Of two with one
 * shape and one beginning, each stroke of the one is a stroke of the other.
 * @example shapeOf x-x- and -x-x in 16ths // => one key, beginning at 0 and 5040 */
export function shapeOf(
  exercise: Exercise,
  of: Sameness,
): { readonly key: string; readonly start: number; readonly period: number } {
  const events = eventsOf(exercise, of);
  if (events.length === 0) return { key: '', start: 0, period: exercise.cycleTicks };
  const first = leastRotation(events);
  const turned = [...events.slice(first), ...events.slice(0, first)];
  const part = partOf(turned);
  const at = instantsOf(exercise)[first]?.at ?? 0;
  const period = (exercise.cycleTicks * part.length) / events.length;
  return { key: part.join(' '), start: wrap(at, period), period };
}

/** The shape alone. @example shapeKey of x-x- and -x-x // => the same */
export function shapeKey(exercise: Exercise, of: Sameness): string {
  return shapeOf(exercise, of).key;
}

/** A text that is equal for exercises that sound the same from the same place on, whoever plays them. A
 * repeated part counts once. */
export function soundKey(exercise: Exercise): string {
  const events = eventsOf(exercise, 'sound');
  return `${instantsOf(exercise)[0]?.at ?? ''} ${partOf(events).join(' ')}`;
}

/** Whether one exercise is the other in disguise; null where it is not. */
export function disguiseOf(one: Exercise, other: Exercise): Disguise | null {
  for (const sameness of ['limbs', 'sound'] as const) {
    const [from, to] = [shapeOf(one, sameness), shapeOf(other, sameness)];
    if (from.key === '' || from.key !== to.key) continue;
    const laterTicks = Math.round(wrap(to.start - from.start, from.period));
    const kind = sameness === 'sound' ? 'limbs' : laterTicks === 0 ? 'same' : 'rotated';
    return { kind, laterTicks };
  }
  return null;
}

/** What happens at each instant, and how long until the next, over the seam. */
function eventsOf(exercise: Exercise, of: Sameness): readonly string[] {
  const instants = instantsOf(exercise);
  const code = of === 'limbs' ? strokeCode : soundCode;
  const first = (instants[0]?.at ?? 0) + exercise.cycleTicks;
  return instants.map(({ at, strokes }, index) => {
    const gap = (instants[index + 1]?.at ?? first) - at;
    const [only, second] = strokes;
    if (only && !second) return `${code(only)}:${gap}`;
    const codes = strokes.map(code).sort((a, b) => a - b);
    return `${codes.join('+')}:${gap}`;
  });
}

/** Where the rotation begins that sorts first. */
function leastRotation(items: readonly string[]): number {
  const count = items.length;
  let best = 0;
  for (let start = 1; start < count; start += 1) {
    for (let index = 0; index < count; index += 1) {
      const a = items[(start + index) % count] ?? '';
      const b = items[(best + index) % count] ?? '';
      if (a < b) best = start;
      if (a !== b) break;
    }
  }
  return best;
}

function repeatsOf(items: readonly string[]): number {
  const count = items.length;
  for (let length = 1; length < count; length += 1) {
    if (count % length !== 0) continue;
    if (items.every((item, index) => item === items[index % length])) return count / length;
  }
  return 1;
}

function partOf(items: readonly string[]): readonly string[] {
  return items.slice(0, items.length / repeatsOf(items));
}
