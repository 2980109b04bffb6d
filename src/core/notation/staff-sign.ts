import { voice, type Voice } from '../kit';
import { gracesOf, type Stroke } from '../pattern';
import { beamsOfBase } from './beams';
import { GLYPHS, type Box, type GlyphId } from './glyphs';
import type { WrittenSign } from './notate';

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

/** One head of a chord. */
interface Head {
  readonly glyph: GlyphId;
  /** Its left edge. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly isGhost: boolean;
  /** It stands on the far side of the stem. */
  readonly isFar: boolean;
  readonly voice: Voice;
}

/** What a column of one voice shows, but for its stem. All lengths are in staff spaces: across from the middle of
 * the column, down from the top line of the staff. */
export interface SignShape {
  readonly sign: WrittenSign;
  readonly up: boolean;
  readonly heads: readonly Head[];
  readonly glyphs: readonly StaffGlyph[];
  readonly strokes: readonly Box[];
  readonly slants: readonly Slant[];
  readonly bows: readonly Bow[];
}

export const STEM = 0.13;
export const HEAD = GLYPHS.noteheadBlack[2];
const GRACE_SIZE = 0.62;

/** Clear space between a head and what stands beside it, by eye. */
const BESIDE = 0.12;
const LEDGER = 0.3;
const LEDGER_THICK = 0.16;

const HEADS: Readonly<Record<Voice['head'], { readonly short: GlyphId; readonly half: GlyphId }>> =
  {
    oval: { short: 'noteheadBlack', half: 'noteheadHalf' },
    x: { short: 'noteheadX', half: 'noteheadXHalf' },
    open: { short: 'noteheadX', half: 'noteheadXHalf' },
    'half-open': { short: 'noteheadX', half: 'noteheadXHalf' },
    diamond: { short: 'noteheadDiamond', half: 'noteheadDiamondHalf' },
    triangle: { short: 'noteheadTriangle', half: 'noteheadTriangleHalf' },
    slash: { short: 'noteheadSlashed', half: 'noteheadSlashedHalf' },
  };

/** How far from a head's middle its stem begins, towards the stem; read off the music font. */
const STEM_BEGINS: Readonly<Record<Voice['head'], number>> = {
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

/** Where a stem stands, its left edge. */
export function stemX(up: boolean): number {
  return up ? HEAD / 2 - STEM : -HEAD / 2;
}

/** Where the stem begins at the head that is farthest from its end. */
export function stemFrom({ heads, up }: Pick<SignShape, 'heads' | 'up'>): number {
  const far = up ? heads[0] : heads.at(-1);
  if (!far) return 0;
  return far.y + (up ? -1 : 1) * STEM_BEGINS[far.voice.head];
}

/** The heads of a chord with what stands beside them: ledger lines, parentheses, dots, grace notes. */
export function shapeChord(sign: WrittenSign, up: boolean): SignShape {
  const heads = headsOf(sign, up);
  const glyphs: StaffGlyph[] = heads.map(({ glyph, x, y }) => ({ glyph, x, y }));
  const left = Math.min(...heads.map((head) => head.x + Math.min(0, GLYPHS[head.glyph][0])));
  const right = Math.max(...heads.map((head) => head.x + head.width));
  const ghosts = heads.filter((head) => head.isGhost);
  const pairs = embraced(ghosts.map((head) => head.y));
  const largest = Math.max(0, ...pairs.map(({ size }) => size));
  const before = left - largest * (BESIDE + GLYPHS.parenthesisLeft[2]);
  const after = right + largest * (BESIDE - GLYPHS.parenthesisRight[0]);
  for (const { y, size } of pairs) {
    const scaled = size === 1 ? { y } : { y, size };
    glyphs.push({ glyph: 'parenthesisLeft', x: before, ...scaled });
    glyphs.push({ glyph: 'parenthesisRight', x: after, ...scaled });
  }
  if (sign.dots > 0) {
    const flag = beamsOfBase(sign.base) > 0 && up ? stemX(true) + GLYPHS.flag8[2] : 0;
    const past = after + largest * GLYPHS.parenthesisRight[2];
    const x = Math.max(past, flag) + BESIDE * 1.5;
    for (const y of new Set(heads.map((head) => dotY(head.y)))) glyphs.push({ glyph: 'dot', x, y });
  }
  const graces = shapeGraces(sign, before);
  return {
    sign,
    up,
    heads,
    glyphs: [...glyphs, ...graces.glyphs],
    strokes: [...ledgersOf(heads), ...graces.strokes],
    slants: graces.slants,
    bows: graces.bows,
  };
}

const PARENTHESIS = GLYPHS.parenthesisLeft[3] - GLYPHS.parenthesisLeft[1];

/** Parentheses for heads: those so near to each other that theirs would meet share a taller pair.
 * @param ys from the bottom up */
function embraced(ys: readonly number[]): readonly { readonly y: number; readonly size: number }[] {
  const groups: number[][] = [];
  for (const y of ys) {
    const last = groups.at(-1);
    const nearest = last?.at(-1);
    if (last && nearest !== undefined && nearest - y < PARENTHESIS + BESIDE) last.push(y);
    else groups.push([y]);
  }
  return groups.map((group) => {
    const [low = 0] = group;
    const high = group.at(-1) ?? low;
    return { y: (low + high) / 2, size: (low - high + PARENTHESIS) / PARENTHESIS };
  });
}

/** A rest, with its middle at a place of the staff. */
export function shapeRest(sign: WrittenSign, up: boolean, y: number): SignShape {
  const glyph = restOf(sign.base);
  const [, , right] = GLYPHS[glyph];
  const x = -right / 2;
  const glyphs: StaffGlyph[] = [{ glyph, x, y: glyph === 'restWhole' ? y - 1 : y }];
  if (sign.dots > 0) glyphs.push({ glyph: 'dot', x: x + right + BESIDE * 2, y: y - 0.5 });
  return { sign, up, heads: [], glyphs, strokes: [], slants: [], bows: [] };
}

export function restOf(base: number): GlyphId {
  return base === 1 ? 'restWhole' : base === 2 ? 'restHalf' : (`rest${base}` as GlyphId);
}

/** A dot stands between lines. */
function dotY(y: number): number {
  return Number.isInteger(y) ? y - 0.5 : y;
}

/** One head for each voice, from the bottom up; limbs that share a voice share its head. Heads that are next to
 * each other stand on both sides of the stem. */
function headsOf({ strokes, base }: WrittenSign, up: boolean): readonly Head[] {
  const all = [...new Set(strokes.map((stroke) => stroke.voice))].map((id) => ({
    voice: voice(id),
    same: strokes.filter((stroke) => stroke.voice === id),
  }));
  const fromBottom = all.sort((a, b) => a.voice.line - b.voice.line);
  const voices = fromBottom.map((one) => one.voice);
  const far = acrossStem(up ? voices : [...voices].reverse());
  return fromBottom.map(({ voice: of, same }): Head => {
    const { short, half } = HEADS[of.head];
    const glyph = base === 2 ? half : short;
    const width = GLYPHS[glyph][2];
    const near = up ? HEAD / 2 - Math.min(width, HEAD) : -HEAD / 2;
    const away = up ? HEAD / 2 - STEM - Math.min(0, GLYPHS[glyph][0]) : -HEAD / 2 + STEM - width;
    return {
      glyph,
      x: far.has(of) ? away : near,
      isFar: far.has(of),
      y: yOfLine(of.line),
      width,
      isGhost: same.every((stroke) => stroke.dynamic === 'ghost'),
      voice: of,
    };
  });
}

/** Which heads stand on the other side of the stem, because they are next to the one before them.
 * @param voices from the head that is farthest from the stem's end */
function acrossStem(voices: readonly Voice[]): ReadonlySet<Voice> {
  const far = new Set<Voice>();
  voices.forEach((here, index) => {
    const before = voices[index - 1];
    // The slash of a rim shot reaches further.
    const room = before?.head === 'slash' || here.head === 'slash' ? 3 : 2;
    if (before && !far.has(before) && Math.abs(before.line - here.line) < room) far.add(here);
  });
  return far;
}

/** Short lines for heads above or below the staff. */
function ledgersOf(heads: readonly Head[]): readonly Box[] {
  return heads.flatMap(({ voice: { line }, x, width }) => {
    const lines: number[] = [];
    for (let at = 10; at <= line; at += 2) lines.push(at);
    for (let at = -2; at >= line; at -= 2) lines.push(at);
    return lines.map((at): Box => {
      const y = yOfLine(at) - LEDGER_THICK / 2;
      return [x - LEDGER, y, x + width + LEDGER, y + LEDGER_THICK];
    });
  });
}

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
function shapeGraces({ strokes }: WrittenSign, before: number): Graces {
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
