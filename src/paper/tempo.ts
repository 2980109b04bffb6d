import type { Mark } from '@/core/print';
import { TICKS_PER_QUARTER } from '@/core/time';
import { measure } from './fonts';

/** A staff space of the small note before a tempo, in parts of the size of type. */
const NOTE = 0.28;
const STEM = 3.2;

/** The note that is counted, and how many a minute. @param size in points
 * @returns marks from the base line of the number */
export function tempoMarks(
  beatTicks: number,
  bpm: number,
  size: number,
): { readonly marks: readonly Mark[]; readonly width: number } {
  const space = size * NOTE;
  const beats = beatTicks / TICKS_PER_QUARTER;
  const isHalf = beats >= 2;
  const isEighth = beats < 1;
  const isDotted = beats === 1.5 || beats === 3;
  const note: Mark[] = [
    { kind: 'glyph', glyph: isHalf ? 'noteheadHalf' : 'noteheadBlack', x: 0, y: 0 },
    { kind: 'boxes', boxes: [[1.06, -STEM, 1.18, -0.1]] },
    ...(isEighth ? [{ kind: 'glyph', glyph: 'flag8', x: 1.06, y: -STEM } as const] : []),
    ...(isDotted ? [{ kind: 'glyph', glyph: 'dot', x: 1.6, y: -0.2 } as const] : []),
  ];
  const noteWide = (isDotted ? 2.2 : isEighth ? 2.2 : 1.3) * space;
  const text = `= ${bpm}`;
  const gap = size * 0.3;
  return {
    marks: [
      { kind: 'group', x: 0, y: -0.5 * space, scale: space, marks: note },
      { kind: 'text', x: noteWide + gap, y: 0, text, size, face: 'strong' },
    ],
    width: noteWide + gap + measure('strong', size, text),
  };
}
