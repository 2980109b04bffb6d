import { voice } from '../kit';
import { gracesOf, type Stroke } from '../pattern';
import { GLYPHS, type Box } from './glyphs';
import {
  acrossStem,
  BESIDE,
  HEAD,
  HEADS,
  STEM,
  yOfLine,
  type Bow,
  type Slant,
  type StaffGlyph,
} from './heads';
import type { WrittenSign } from './notate';

/** Of a note of usual size. */
const GRACE_SIZE = 0.62;

interface Graces {
  readonly glyphs: readonly StaffGlyph[];
  readonly strokes: readonly Box[];
  readonly slants: readonly Slant[];
  readonly bows: readonly Bow[];
}

const NO_GRACES: Graces = { glyphs: [], strokes: [], slants: [], bows: [] };

const GRACE_HEAD = HEAD * GRACE_SIZE;
const GRACE_STEM = 2.6;
const GRACE_STEP = 1.02;
const GRACE_BEAM = 0.3;

/** Small notes before the main one: one with a slash through its stem, more under two beams.
 * @param before the left edge of what they stand before */
export function shapeGraces({ strokes }: WrittenSign, before: number): Graces {
  const ornamented = [
    ...new Map(
      strokes
        .filter((stroke) => gracesOf(stroke).length > 0)
        .sort((a, b) => gracesOf(a).length - gracesOf(b).length)
        .map((stroke) => [stroke.voice, stroke]),
    ).values(),
  ];
  const [first] = ornamented;
  if (!first) return NO_GRACES;
  const count = Math.max(...ornamented.map((stroke) => gracesOf(stroke).length));
  const ys = graceYs(ornamented);
  const top = Math.min(...ys) - GRACE_STEM;
  const low = Math.max(...ys);
  const flag = count === 1 ? GLYPHS.flag8[2] * GRACE_SIZE - STEM : 0;
  const end = before - BESIDE * 1.5 - flag;
  const voices = ornamented.map((stroke) => voice(stroke.voice)).sort((a, b) => a.line - b.line);
  const far = acrossStem(voices);
  const step = far.size > 0 ? GRACE_STEP + GRACE_HEAD : GRACE_STEP;
  const lefts = Array.from(
    { length: count },
    (_, index) => end - GRACE_HEAD - (count - 1 - index) * step,
  );
  const stems = lefts.map((x) => x + GRACE_HEAD - STEM);
  const [firstLeft = 0] = lefts;
  const [firstStem = 0] = stems;
  const lastStem = stems.at(-1) ?? 0;
  const heads = lefts.flatMap((x, index) =>
    ornamented
      .filter((stroke) => gracesOf(stroke).length >= count - index)
      .map(({ voice: id }): StaffGlyph => {
        const of = voice(id);
        const glyph = HEADS[of.head].short;
        const away = far.has(of) ? GRACE_HEAD - STEM : 0;
        return { glyph, x: x - away, y: yOfLine(of.line), size: GRACE_SIZE };
      }),
  );
  const beams = [0, 1].map((level): Box => {
    const y = top + level * (GRACE_BEAM + 0.18);
    return [firstStem, y, lastStem + STEM, y + GRACE_BEAM];
  });
  return {
    glyphs:
      count === 1 ? [...heads, { glyph: 'flag8', x: firstStem, y: top, size: GRACE_SIZE }] : heads,
    strokes: [
      ...stems.map((x): Box => [x, top, x + STEM * 0.8, low - 0.1]),
      ...(count === 1 ? [] : beams),
    ],
    slants:
      count === 1
        ? [{ from: [firstStem - 0.45, top + 1.5], to: [firstStem + 0.6, top + 0.6] }]
        : [],
    bows: [{ from: firstLeft + GRACE_HEAD / 2, to: -HEAD / 4, y: low + 0.62 }],
  };
}

function graceYs(strokes: readonly Stroke[]): readonly number[] {
  return strokes.map((stroke) => yOfLine(voice(stroke.voice).line));
}
