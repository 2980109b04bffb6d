import type { StaffBracket } from './place-bar';

/** Outlines that are drawn and not taken from the music font, in the words of SVG paths; lengths in staff spaces. */

/** A bow under two heads, thicker in its middle. */
export function bowPath({
  from,
  to,
  y,
}: {
  readonly from: number;
  readonly to: number;
  readonly y: number;
}): string {
  const middle = (from + to) / 2;
  return `M${from} ${y}Q${middle} ${y + 0.75} ${to} ${y}Q${middle} ${y + 0.5} ${from} ${y}Z`;
}

/** A tie of a reading line, under the heads, thicker in its middle. */
export function tiePath({ from, to }: { readonly from: number; readonly to: number }): string {
  const top = 0.75;
  const deep = top + Math.min(1.3, 0.5 + (to - from) * 0.12);
  const middle = (from + to) / 2;
  return `M${from} ${top}Q${middle} ${deep + 0.25} ${to} ${top}Q${middle} ${deep - 0.1} ${from} ${top}Z`;
}

/** A bracket with hooks towards the notes, and a gap for its text; null where the number stands alone. */
export function bracketPath({ text, from, to, y, up, kind }: StaffBracket): string | null {
  if (kind === 'number') return null;
  const hook = up ? y + 0.6 : y - 0.6;
  if (kind === 'second-time') return `M${from} ${hook}V${up ? y - 0.7 : y + 0.7}H${to}`;
  const middle = (from + to) / 2;
  const gap = 0.35 + text.length * 0.35;
  return `M${from} ${hook}V${y}H${middle - gap}M${middle + gap} ${y}H${to}V${hook}`;
}

/** Where the text of a bracket stands: the number in its middle, "2." at its left end. */
export function bracketText({ text, from, to, y, kind }: StaffBracket): {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly middle: boolean;
} {
  const at = { text, y: y + 0.5 };
  return kind === 'second-time'
    ? { ...at, x: from + 0.35, size: 1.3, middle: false }
    : { ...at, x: (from + to) / 2, size: 1.5, middle: true };
}

/** Of a reading line, from the line up: where numbers of tuplets stand, and their brackets. */
export const LINE_TUPLET_Y = -3.85;
const LINE_BRACKET_Y = -4.4;

export function lineBracketPath(from: number, to: number): string {
  const middle = (from + to) / 2;
  const hook = LINE_BRACKET_Y + 0.6;
  return `M${from} ${hook}V${LINE_BRACKET_Y}H${middle - 0.8}M${middle + 0.8} ${LINE_BRACKET_Y}H${to}V${hook}`;
}
