/** A box in staff spaces from a sign's own origin, y down: left, top, right, bottom. */
export type Box = readonly [left: number, top: number, right: number, bottom: number];

/** Extents of the music font's glyphs (Bravura, 250 units to a staff space), read off the font. Their
 * outlines are in `public/notation.svg`. */
export const GLYPHS = {
  noteheadBlack: [0, -0.5, 1.18, 0.5],
  noteheadHalf: [0, -0.5, 1.18, 0.5],
  noteheadWhole: [0, -0.5, 1.69, 0.5],
  flag8: [0, -0.04, 1.06, 3.24],
  flag16: [0, -0.01, 1.12, 3.25],
  flag32: [0, -0.6, 1.04, 3.25],
  restWhole: [0, -0.04, 1.13, 0.54],
  restHalf: [0, -0.57, 1.13, 0.01],
  rest4: [0, -1.49, 1.08, 1.5],
  rest8: [0, -0.7, 0.99, 1],
  rest16: [0, -0.72, 1.28, 2],
  rest32: [0, -1.7, 1.45, 2],
  dot: [0, -0.2, 0.4, 0.2],
  meter0: [0.08, -1, 1.8, 1],
  meter1: [0.08, -1, 1.26, 1],
  meter2: [0.08, -1.02, 1.7, 1.03],
  meter3: [0.08, -1, 1.6, 1],
  meter4: [0.08, -1, 1.8, 1],
  meter5: [0.08, -0.98, 1.53, 1],
  meter6: [0.08, -1, 1.66, 1],
  meter7: [0.08, -1, 1.69, 1],
  meter8: [0.08, -1.04, 1.66, 1.04],
  meter9: [0.08, -1, 1.66, 1],
} as const satisfies Readonly<Record<string, Box>>;

export type GlyphId = keyof typeof GLYPHS;
