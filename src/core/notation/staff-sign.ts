import { voice, type Voice } from '../kit';
import { beamsOfBase } from './beams';
import { GLYPHS, type Box, type GlyphId } from './glyphs';
import { shapeGraces } from './grace-notes';
import {
  acrossStem,
  BESIDE,
  HEAD,
  HEADS,
  STEM,
  STEM_BEGINS,
  yOfLine,
  type Bow,
  type Slant,
  type StaffGlyph,
} from './heads';
import type { WrittenSign } from './notate';

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

const LEDGER = 0.3;
const LEDGER_THICK = 0.16;

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
