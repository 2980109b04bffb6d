import { fail, ok, type Issue, type Path, type Result } from '../issue';
import { wrap } from '../time';
import type { Dynamic } from './stroke';

/** One slot of a grid string: a dynamic, or null for a rest. */
export type GridSlot = Dynamic | null;

const MARKS: Readonly<Record<string, GridSlot>> = {
  x: 'normal',
  X: 'accent',
  g: 'ghost',
  '-': null,
};

/** Reads `x-X-g`; spaces and bar lines are ignored.
 * @returns issue `grid-token` for each letter that is no mark, `at` counting slots from 0
 * @example parseGrid('xX-') // => ['normal', 'accent', null] */
export function parseGrid(text: string, path: Path = ['grid']): Result<readonly GridSlot[]> {
  const letters = [...text.replace(/[\s|]/g, '')];
  const issues: Issue[] = [];
  const slots = letters.map((token, at): GridSlot => {
    const mark = MARKS[token];
    if (mark === undefined) issues.push({ code: 'grid-token', path, token, at });
    return mark ?? null;
  });
  if (slots.length === 0) issues.push({ code: 'grid-token', path, token: '', at: 0 });
  return issues.length > 0 ? fail(...issues) : ok(slots);
}

/** @example formatGrid(['normal', null, 'ghost']) // => 'x-g' */
export function formatGrid(slots: readonly GridSlot[]): string {
  return slots
    .map((slot) => (slot === null ? '-' : slot === 'accent' ? 'X' : slot === 'ghost' ? 'g' : 'x'))
    .join('');
}

/** Moves everything later by slots, cyclically; negative is earlier.
 * @example rotateSlots([...'xx--'], 3) // => ['x', '-', '-', 'x'] */
export function rotateSlots<T>(slots: readonly T[], by: number): readonly T[] {
  const length = slots.length;
  return slots.map((_, index) => slots[wrap(index - by, length)] as T);
}
