import { soundingTicks, type LineSign, type ReadingLine } from '../reading';
import { barTicks, beatIndexAt, quarters, type Meter } from '../time';
import { beamRuns, beamsOfBase } from './beams';
import { GLYPHS, type Box, type GlyphId } from './glyphs';

/** A glyph with its origin. All lengths here are in staff spaces, y down from the one line. */
interface PlacedGlyph {
  readonly glyph: GlyphId;
  readonly x: number;
  readonly y: number;
}

/** From one note to the next, under their heads; beyond an edge of the bar where it goes over the bar line. */
interface Tie {
  readonly from: number;
  readonly to: number;
}

/** A number over a tuplet, with a bracket where no beam holds it together. */
interface TupletSign {
  readonly number: number;
  readonly from: number;
  readonly to: number;
  readonly bracket: boolean;
}

/** A bar of a reading line, laid out. */
export interface BarLayout {
  readonly width: number;
  readonly glyphs: readonly PlacedGlyph[];
  /** Filled boxes: stems, beams, bar lines. */
  readonly strokes: readonly Box[];
  readonly ties: readonly Tie[];
  readonly tuplets: readonly TupletSign[];
  /** The left edge of each sign, in the order of the line. */
  readonly places: readonly number[];
}

/** Space to a sign, by how long it lasts: a 16th takes this much, and each doubling this much more. By eye,
 * after the logarithmic spacing that is common practice in engraving. */
const SIXTEENTH_SPACE = 2.3;
const SPACE_A_DOUBLING = 1.25;

/** Least clear space between a sign and the next. */
const CLEAR = 0.4;
const BAR_LEAD = 1;
const STEM = 0.13;
const STEM_TOP = -3.5;
const BEAM = 0.5;
const BEAM_STEP = 0.75;
const STUB = 1.05;
const DOT_SPACE = 0.3;
const BAR_LINE = 0.16;
const LAST_LINE = 0.5;

/** Lays a reading line out in rhythm notation on one line: values as they are written, ties and dots kept,
 * beams within the beats of the meter, stems up.
 * @param opens whether the meter stands before the first bar
 * @param ends whether the line is over with its last bar
 * @param even all bars as wide as the widest, so that they stand under each other on a page
 * @returns a layout for each bar, in order */
export function layOutLine(
  line: ReadingLine,
  {
    opens = true,
    ends = true,
    even = false,
  }: { readonly opens?: boolean; readonly ends?: boolean; readonly even?: boolean } = {},
): readonly BarLayout[] {
  const spaces = line.bars.map((signs) => spacesOf(signs, line.meter));
  const sums = spaces.map((all) => all.reduce((sum, space) => sum + space, 0));
  const widest = Math.max(...sums);
  let heldOver = false;
  return line.bars.map((signs, index) => {
    const sum = sums[index] ?? 0;
    const wider = even && sum > 0 ? widest / sum : 1;
    const isLast = ends && index === line.bars.length - 1;
    const meter = opens && index === 0 ? meterGlyphs(line.meter) : { glyphs: [], width: 0 };
    const bar = layOutBar(
      signs,
      line.meter,
      (spaces[index] ?? []).map((space) => space * wider),
      { lead: meter.width + BAR_LEAD, heldOver, isLast },
    );
    heldOver = signs.at(-1)?.tied ?? false;
    return { ...bar, glyphs: [...meter.glyphs, ...bar.glyphs] };
  });
}

function meterGlyphs({ count, unit }: Meter): { glyphs: readonly PlacedGlyph[]; width: number } {
  const rows = [String(count), String(unit)].map((text) =>
    [...text].map((digit) => `meter${digit}` as GlyphId),
  );
  const widths = rows.map((row) => row.reduce((sum, glyph) => sum + GLYPHS[glyph][2], 0));
  const width = Math.max(...widths);
  const glyphs = rows.flatMap((row, index) => {
    let x = BAR_LEAD / 2 + (width - (widths[index] ?? 0)) / 2;
    return row.map((glyph): PlacedGlyph => {
      const placed = { glyph, x, y: index === 0 ? -1.05 : 1.05 };
      x += GLYPHS[glyph][2];
      return placed;
    });
  });
  return { glyphs, width: width + BAR_LEAD };
}

/** The space from each sign to the next. */
function spacesOf(signs: readonly LineSign[], meter: Meter): readonly number[] {
  const beamed = new Set(beamGroups(signs, meter).flat());
  return signs.map((sign, index) => {
    const doublings = Math.log2(soundingTicks(sign.value) / quarters(1, 4));
    const space = SIXTEENTH_SPACE + SPACE_A_DOUBLING * doublings;
    return Math.max(space, rightOf(sign, beamed.has(index)) + CLEAR);
  });
}

/** How far a sign reaches to the right of its place. */
function rightOf(sign: LineSign, beamed: boolean): number {
  const { dots } = sign.value;
  const plain = dotFrom(sign, beamed);
  return dots === 0 ? plain : plain + dots * (DOT_SPACE + GLYPHS.dot[2]);
}

/** Where dots may begin: past the head, and past a flag. */
function dotFrom(sign: LineSign, beamed: boolean): number {
  const head = GLYPHS[glyphOf(sign)][2];
  const flag = flagOf(sign);
  return flag && !beamed ? head - STEM + GLYPHS[flag][2] : head;
}

function glyphOf({ kind, value: { base } }: LineSign): GlyphId {
  if (kind === 'note') {
    return base === 1 ? 'noteheadWhole' : base === 2 ? 'noteheadHalf' : 'noteheadBlack';
  }
  return base === 1 ? 'restWhole' : base === 2 ? 'restHalf' : `rest${base}`;
}

function flagOf({ kind, value: { base } }: LineSign): GlyphId | null {
  return kind === 'note' && base >= 8 ? (`flag${base}` as GlyphId) : null;
}

/** Neighbouring notes that share a beam: shorter than a quarter, of one beat and one tuplet, no rest between.
 * @returns indices of signs, two or more in each group */
function beamGroups(signs: readonly LineSign[], meter: Meter): readonly (readonly number[])[] {
  const [first] = signs;
  const groups: number[][] = [];
  let last = '';
  signs.forEach((sign, index) => {
    const inBar = (sign.at - (first?.at ?? 0)) % barTicks(meter);
    const key = `${beatIndexAt(meter, inBar)} ${sign.value.tuplet?.id ?? ''}`;
    const isBeamed = flagOf(sign) !== null;
    if (isBeamed && key === last) groups.at(-1)?.push(index);
    else if (isBeamed) groups.push([index]);
    last = isBeamed ? key : '';
  });
  return groups.filter((group) => group.length > 1);
}

function layOutBar(
  signs: readonly LineSign[],
  meter: Meter,
  spaces: readonly number[],
  { lead, heldOver, isLast }: { lead: number; heldOver: boolean; isLast: boolean },
): BarLayout {
  const places: number[] = [];
  let x = lead;
  for (const space of spaces) {
    places.push(x);
    x += space;
  }
  const width = x + (isLast ? LAST_LINE + 3 * BAR_LINE : BAR_LINE);
  const groups = beamGroups(signs, meter);
  const beamed = new Set(groups.flat());
  const glyphs: PlacedGlyph[] = [];
  const strokes: Box[] = [];
  signs.forEach((sign, index) => {
    const at = places[index] ?? 0;
    const glyph = glyphOf(sign);
    glyphs.push({ glyph, x: at, y: 0 });
    const flag = flagOf(sign);
    const stem = stemOf(at);
    if (sign.kind === 'note' && sign.value.base > 1)
      strokes.push([stem, STEM_TOP, stem + STEM, -0.15]);
    if (flag && !beamed.has(index)) glyphs.push({ glyph: flag, x: stem, y: STEM_TOP });
    for (let dot = 0; dot < sign.value.dots; dot += 1) {
      const from = at + dotFrom(sign, beamed.has(index)) + DOT_SPACE;
      glyphs.push({ glyph: 'dot', x: from + dot * (DOT_SPACE + GLYPHS.dot[2]), y: -0.5 });
    }
  });
  for (const group of groups) strokes.push(...beamStrokes(group, signs, places));
  strokes.push(...barLines(width, isLast));
  return {
    width,
    glyphs,
    strokes,
    ties: tiesOf(signs, places, { width, heldOver }),
    tuplets: tupletsOf(signs, places, groups),
    places,
  };
}

/** The left edge of the stem of a note. */
function stemOf(at: number): number {
  return at + GLYPHS.noteheadBlack[2] - STEM;
}

function beamStrokes(
  group: readonly number[],
  signs: readonly LineSign[],
  places: readonly number[],
): readonly Box[] {
  const stems = group.map((index) => stemOf(places[index] ?? 0));
  const counts = group.map((index) => beamsOfBase(signs[index]?.value.base ?? 4));
  return beamRuns(counts).map(({ from, to, level, stub }): Box => {
    const top = STEM_TOP + level * BEAM_STEP;
    const left = stems[from] ?? 0;
    const right = (stems[to] ?? 0) + STEM;
    if (stub === null) return [left, top, right, top + BEAM];
    return stub === 'back'
      ? [right - STUB, top, right, top + BEAM]
      : [left, top, left + STUB, top + BEAM];
  });
}

function barLines(width: number, isLast: boolean): readonly Box[] {
  const thick = isLast ? LAST_LINE : BAR_LINE;
  const line: Box = [width - thick, -1, width, 1];
  const thin = width - LAST_LINE - 2 * BAR_LINE - BAR_LINE;
  return isLast ? [[thin, -1, thin + BAR_LINE, 1], line] : [line];
}

function tiesOf(
  signs: readonly LineSign[],
  places: readonly number[],
  { width, heldOver }: { width: number; heldOver: boolean },
): readonly Tie[] {
  const head = GLYPHS.noteheadBlack[2];
  const over: readonly Tie[] =
    heldOver && signs[0]?.kind === 'note' ? [{ from: 0, to: (places[0] ?? 0) + head * 0.35 }] : [];
  const within = signs.flatMap((sign, index): readonly Tie[] => {
    if (!sign.tied || sign.kind !== 'note') return [];
    const from = (places[index] ?? 0) + head * 0.65;
    const next = places[index + 1];
    return [{ from, to: next === undefined ? width : next + head * 0.35 }];
  });
  return [...over, ...within];
}

function tupletsOf(
  signs: readonly LineSign[],
  places: readonly number[],
  groups: readonly (readonly number[])[],
): readonly TupletSign[] {
  const byId = new Map<number, number[]>();
  signs.forEach(({ value: { tuplet } }, index) => {
    if (tuplet) byId.set(tuplet.id, [...(byId.get(tuplet.id) ?? []), index]);
  });
  return [...byId.values()].map((indices) => {
    const [first = 0] = indices;
    const last = indices.at(-1) ?? first;
    const held = groups.some((group) => indices.every((index) => group.includes(index)));
    return {
      number: signs[first]?.value.tuplet?.played ?? indices.length,
      from: places[first] ?? 0,
      to: (places[last] ?? 0) + GLYPHS.noteheadBlack[2],
      bracket: !held,
    };
  });
}
