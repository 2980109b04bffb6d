import { countSigns, type Meter, type Syllables } from '../time';

/** A word of the count over a staff. */
export interface CountWord {
  /** From the start of the bar. */
  readonly at: number;
  readonly text: string;
  readonly isBeat: boolean;
  /** In staff spaces; it stands with its middle over its column. */
  readonly width: number;
}

/** How large words stand over a staff, in staff spaces. */
export const BEAT_SIZE = 1.5;
export const BETWEEN_SIZE = 1.2;

/** Widest letters of the typeface at the weights that are used, in parts of its size; measured on "m" and rounded up
 * from what words of several letters come to. */
const LETTER = 0.64;

/** The count of a bar. @param columns ticks from the bar's start that are counted, rising */
export function countRow(
  columns: readonly number[],
  meter: Meter,
  syllables?: Syllables,
): readonly CountWord[] {
  const signs = countSigns(columns, meter, syllables);
  return columns.map((at, index) => {
    const { sign: text = '', level } = signs[index] ?? {};
    const isBeat = level === 'beat';
    return { at, text, isBeat, width: text.length * LETTER * (isBeat ? BEAT_SIZE : BETWEEN_SIZE) };
  });
}
