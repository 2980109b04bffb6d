import { beamRuns, beamsOfBase, type BeamRun } from './beams';
import { GLYPHS, type Box, type GlyphId } from './glyphs';
import type { WrittenSign } from './notate';
import { STEM, type StaffGlyph } from './heads';
import { shapeChord, shapeRest, stemFrom, stemX, type SignShape } from './staff-sign';

/** A column of one voice, finished: with its stem, and all that stands on and beyond it. */
export type ColumnShape = SignShape;

/** Notes under one beam. */
interface BeamGroup {
  /** Places of its columns in the voice. */
  readonly members: readonly number[];
  readonly runs: readonly BeamRun[];
  readonly up: boolean;
  /** Where its stems end. */
  readonly y: number;
}

/** A tuplet's number, over or under its columns. */
interface TupletGroup {
  readonly members: readonly number[];
  readonly number: number;
  readonly bracket: boolean;
  /** The middle of its number. */
  readonly y: number;
}

/** One voice of a bar; nothing has its place across yet. */
export interface VoiceShape {
  readonly columns: readonly ColumnShape[];
  readonly beams: readonly BeamGroup[];
  readonly tuplets: readonly TupletGroup[];
}

export const BEAM = 0.5;
export const BEAM_STEP = 0.75;

/** A stem's usual length; heads above the staff have shorter ones, by eye. */
const STEM_LENGTH = 3.5;
const STEM_ABOVE = 2.75;

/** So long that a flag ends before the parenthesis, the slash or the neighbour of its own head. */
const FLAG_CLEAR_OF_HEAD = 4.1;

/** Clear space between a stem's end and the signs outside it. */
const OUTSIDE = 0.35;

/** Height of the number of a tuplet. */
export const TUPLET_HEIGHT = 1.2;

/** @param restY the middle of its rests, down from the top line
 * @param others the other voice: beams keep clear of it */
export function shapeVoice(
  signs: readonly WrittenSign[],
  up: boolean,
  restY: (sign: WrittenSign) => number,
  others: readonly ColumnShape[] = [],
): VoiceShape {
  const plain = signs.map((sign) =>
    sign.strokes.length === 0 ? shapeRest(sign, up, restY(sign)) : shapeChord(sign, up),
  );
  const groups = beamedTogether(signs);
  const beamed = new Map(groups.flatMap((group) => group.map((index) => [index, group] as const)));
  const alone = plain.map((shape, index) => {
    const group = beamed.get(index);
    const isUnderBeam = group !== undefined && group[0] !== index;
    return ownStemEnd(shape, group ? { deep: beamsDepth(group, signs), isUnderBeam } : null);
  });
  const ends = alone.map((end, index) => {
    const group = beamed.get(index);
    if (end === null || !group) return end;
    const together = group.flatMap((one) => alone[one] ?? []);
    const beyond = beyondOthers(group, signs, up, others);
    return up ? Math.min(...together, beyond) : Math.max(...together, beyond);
  });
  const columns = plain.map((shape, index) =>
    withStem(shape, ends[index] ?? null, beamed.has(index)),
  );
  return {
    columns,
    beams: groups.map((members): BeamGroup => ({
      members,
      runs: beamRuns(members.map((index) => beamsOfBase(signs[index]?.base ?? 4))),
      up,
      y: ends[members[0] ?? 0] ?? 0,
    })),
    tuplets: tupletsOf(columns, groups, up),
  };
}

/** Where the stems of a group have to end so that its beams keep clear of what the other voice has under them. */
function beyondOthers(
  group: readonly number[],
  signs: readonly WrittenSign[],
  up: boolean,
  others: readonly ColumnShape[],
): number {
  const members = group.flatMap((index) => signs[index] ?? []);
  const first = members[0]?.at ?? 0;
  const last = members.at(-1)?.at ?? 0;
  const deep = beamsDepth(group, signs);
  const reaches = others
    .filter(({ sign, heads }) => heads.length > 0 && sign.at >= first && sign.at <= last)
    .map((column) => reachOf(column)[up ? 0 : 1]);
  return up ? Math.min(...reaches) - deep - 0.25 : Math.max(...reaches) + deep + 0.25;
}

/** How far the beams of a group reach from the ends of its stems. */
function beamsDepth(group: readonly number[], signs: readonly WrittenSign[]): number {
  const counts = group.map((index) => beamsOfBase(signs[index]?.base ?? 4));
  return BEAM + (Math.max(...counts) - 1) * BEAM_STEP;
}

/** Neighbours shorter than a quarter, of one beat and one tuplet, no rest between; two or more in each group. */
function beamedTogether(signs: readonly WrittenSign[]): readonly (readonly number[])[] {
  const groups: number[][] = [];
  let last = '';
  signs.forEach((sign, index) => {
    const key = `${sign.beat} ${sign.tuplet?.at ?? ''}`;
    const isBeamed = sign.base >= 8 && sign.strokes.length > 0;
    if (isBeamed && key === last) groups.at(-1)?.push(index);
    else if (isBeamed) groups.push([index]);
    last = isBeamed ? key : '';
  });
  return groups.filter((group) => group.length > 1);
}

/** Strokes through the stem: a diddle is one, a roll three; a buzz is a z. */
function throughStem({ strokes }: WrittenSign): GlyphId | null {
  const has = (ornament: string) => strokes.some((stroke) => stroke.ornament === ornament);
  if (has('roll')) return 'tremolo3';
  if (has('diddle')) return 'tremolo1';
  return has('buzz') ? 'buzz' : null;
}

/** From the middle of the head that is nearest to the stem's end to the first sign on the stem. */
function clearOfHeads({ heads, up }: SignShape): number {
  const near = (up ? heads.at(-1) : heads[0])?.y ?? 0;
  const reaches = heads.map(({ isGhost, glyph, y }) => {
    const [, top, , bottom] = GLYPHS[isGhost ? 'parenthesisLeft' : glyph];
    return up ? near - y - top : y - near + bottom;
  });
  return Math.max(...reaches) + 0.1;
}

/** Where a stem would end by itself.
 * @param beamed how deep the beams of its group are, and whether they come from a note before; null without beams */
function ownStemEnd(
  shape: SignShape,
  beamed: { readonly deep: number; readonly isUnderBeam: boolean } | null,
): number | null {
  const { sign, up, heads } = shape;
  const isBeamed = beamed !== null;
  const near = up ? heads.at(-1) : heads[0];
  if (!near || sign.base < 2) return null;
  const beams = beamsOfBase(sign.base);
  const through = throughStem(sign);
  const [, top, , bottom] = through ? GLYPHS[through] : [0, 0, 0, 0];
  const outer = beamed ? beamed.deep : beams > 0 ? 2.8 : 0;
  const usual = up && near.voice.line >= 8 && !isFlagged(sign, isBeamed) ? STEM_ABOVE : STEM_LENGTH;
  const longer = through ? outer + (bottom - top) + clearOfHeads(shape) + 0.55 : 0;
  const forBeams = isBeamed ? outer + 1.2 : beams > 2 ? STEM_LENGTH + (beams - 2) * 0.5 : 0;
  // Grace notes stand under the beam that comes from the note before.
  const forGraces = up && beamed?.isUnderBeam ? beamed.deep + gracesAbove(shape) + 0.25 : 0;
  const hasFar = heads.some((head) => head.isFar);
  const isWide = (up && (near.isGhost || hasFar)) || near.voice.head === 'slash';
  const forFlag = isWide && isFlagged(sign, isBeamed) ? FLAG_CLEAR_OF_HEAD : 0;
  const length = Math.max(usual, longer, forBeams, forGraces, forFlag);
  return near.y + (up ? -length : length);
}

/** How far grace notes reach above the head that is nearest to the stem's end; negative where they do not. */
function gracesAbove({ heads, glyphs, strokes }: SignShape): number {
  const isSmall = glyphs.some(({ size }) => size !== undefined);
  const near = heads.at(-1);
  return isSmall && near ? near.y - Math.min(...strokes.map(([, top]) => top)) : -Infinity;
}

function isFlagged(sign: WrittenSign, isBeamed: boolean): boolean {
  return sign.base >= 8 && !isBeamed;
}

function withStem(shape: SignShape, end: number | null, isBeamed: boolean): ColumnShape {
  if (end === null) return shape;
  const { sign, up } = shape;
  const x = stemX(up);
  const from = stemFrom(shape);
  const stem: Box = [x, Math.min(from, end), x + STEM, Math.max(from, end)];
  const glyphs: StaffGlyph[] = [...shape.glyphs];
  let outer = end;
  if (isFlagged(sign, isBeamed)) {
    const flag = `flag${sign.base}${up ? '' : 'Down'}` as GlyphId;
    glyphs.push({ glyph: flag, x, y: end });
    outer += GLYPHS[flag][up ? 1 : 3];
  }
  const through = throughStem(sign);
  if (through) {
    const near = up ? shape.heads.at(-1) : shape.heads[0];
    const [, top, , bottom] = GLYPHS[through];
    const away = clearOfHeads(shape) + (up ? bottom : -top);
    glyphs.push({ glyph: through, x: x + STEM / 2, y: (near?.y ?? 0) + (up ? -away : away) });
  }
  glyphs.push(...outside(shape, outer));
  return { ...shape, glyphs, strokes: [...shape.strokes, stem] };
}

/** Signs beyond the stem's end: how open the hi-hat is, then the accent. */
function outside({ sign, up }: SignShape, end: number): readonly StaffGlyph[] {
  const found: StaffGlyph[] = [];
  let y = end + (up ? -OUTSIDE : OUTSIDE);
  const put = (glyph: GlyphId) => {
    const [left, top, right, bottom] = GLYPHS[glyph];
    found.push({ glyph, x: -(left + right) / 2, y: up ? y - bottom : y - top });
    y += (up ? -1 : 1) * (bottom - top + 0.25);
  };
  const voices = sign.strokes.map((stroke) => stroke.voice);
  if (voices.includes('hat-open')) put('open');
  if (voices.includes('hat-half')) put('halfOpen');
  if (sign.strokes.some((stroke) => stroke.dynamic === 'accent')) {
    put(up ? 'accentAbove' : 'accentBelow');
  }
  return found;
}

/** @returns top and bottom of all that a column shows */
export function reachOf({ glyphs, strokes, bows }: SignShape): readonly [number, number] {
  const ys = [
    ...glyphs.flatMap(({ glyph, y, size = 1 }) => {
      const [, top, , bottom] = GLYPHS[glyph];
      return [y + top * size, y + bottom * size];
    }),
    ...strokes.flatMap(([, top, , bottom]) => [top, bottom]),
    ...bows.map(({ y }) => y + 0.7),
  ];
  return [Math.min(...ys), Math.max(...ys)];
}

function tupletsOf(
  columns: readonly ColumnShape[],
  groups: readonly (readonly number[])[],
  up: boolean,
): readonly TupletGroup[] {
  const byStart = new Map<number, number[]>();
  columns.forEach(({ sign: { tuplet } }, index) => {
    if (tuplet) byStart.set(tuplet.at, [...(byStart.get(tuplet.at) ?? []), index]);
  });
  return [...byStart.values()].map((members): TupletGroup => {
    const shapes = members.flatMap((index) => columns[index] ?? []);
    const isHeld = groups.some((group) => members.every((index) => group.includes(index)));
    const ends = shapes.map((shape) => reachOf(shape)[up ? 0 : 1]);
    const away = OUTSIDE + TUPLET_HEIGHT / 2;
    return {
      members,
      number: shapes[0]?.sign.tuplet?.played ?? members.length,
      bracket: !isHeld,
      y: up ? Math.min(-0.5, ...ends) - away : Math.max(4.5, ...ends) + away,
    };
  });
}
