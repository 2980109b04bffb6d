import type { Voice } from '../kit';
import { GLYPHS, type GlyphId } from './glyphs';

/** A glyph with its origin, in staff spaces. */
export interface StaffGlyph {
  readonly glyph: GlyphId;
  readonly x: number;
  readonly y: number;
  /** 1 is the size of a staff; grace notes are smaller. */
  readonly size?: number;
}

/** A straight stroke that is neither upright nor level: the slash of a grace note. */
export interface Slant {
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
}

/** A bow under two heads, from a grace note to its note. */
export interface Bow {
  readonly from: number;
  readonly to: number;
  readonly y: number;
}

export const STEM = 0.13;
export const HEAD = GLYPHS.noteheadBlack[2];

/** Clear space between a head and what stands beside it, by eye. */
export const BESIDE = 0.12;
/** The head of a voice, as a short note and as a half note. */
export const HEADS: Readonly<
  Record<Voice['head'], { readonly short: GlyphId; readonly half: GlyphId }>
> = {
  oval: { short: 'noteheadBlack', half: 'noteheadHalf' },
  x: { short: 'noteheadX', half: 'noteheadXHalf' },
  open: { short: 'noteheadX', half: 'noteheadXHalf' },
  'half-open': { short: 'noteheadX', half: 'noteheadXHalf' },
  diamond: { short: 'noteheadDiamond', half: 'noteheadDiamondHalf' },
  triangle: { short: 'noteheadTriangle', half: 'noteheadTriangleHalf' },
  slash: { short: 'noteheadSlashed', half: 'noteheadSlashedHalf' },
};

/** How far from a head's middle its stem begins, towards the stem; read off the music font. */
export const STEM_BEGINS: Readonly<Record<Voice['head'], number>> = {
  oval: 0.17,
  x: 0.44,
  open: 0.44,
  'half-open': 0.44,
  diamond: 0,
  triangle: -0.5,
  slash: 0.17,
};

/** Down from the top line. @param line half spaces up from the bottom line */
export function yOfLine(line: number): number {
  return (8 - line) / 2;
}

/** Which heads stand on the other side of the stem, because they are next to the one before them.
 * @param voices from the head that is farthest from the stem's end */
export function acrossStem(voices: readonly Voice[]): ReadonlySet<Voice> {
  const far = new Set<Voice>();
  voices.forEach((here, index) => {
    const before = voices[index - 1];
    // The slash of a rim shot reaches further.
    const room = before?.head === 'slash' || here.head === 'slash' ? 3 : 2;
    if (before && !far.has(before) && Math.abs(before.line - here.line) < room) far.add(here);
  });
  return far;
}
