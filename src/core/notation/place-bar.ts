import { GLYPHS, type Box } from './glyphs';
import type { repeatsOf } from './repeats';
import type { BarShape } from './shape-bar';
import { BEAM, BEAM_STEP, TUPLET_HEIGHT, type ColumnShape, type VoiceShape } from './staff-voice';
import { HEAD, STEM, type Bow, type Slant, type StaffGlyph } from './heads';
import { stemX } from './staff-sign';

/** The number of a tuplet, or what tells that something belongs to the repeat, with a bracket where one is drawn. */
export interface StaffBracket {
  readonly text: string;
  readonly from: number;
  readonly to: number;
  /** The middle of its text. */
  readonly y: number;
  readonly up: boolean;
  readonly kind: 'number' | 'bracket' | 'second-time';
}

/** One bar of a staff as it is drawn: in staff spaces, across from the system's left edge, down from the top line. */
export interface StaffBar {
  readonly glyphs: readonly StaffGlyph[];
  /** Filled boxes: stems, beams, ledger lines, bar lines. */
  readonly strokes: readonly Box[];
  readonly slants: readonly Slant[];
  readonly bows: readonly Bow[];
  readonly brackets: readonly StaffBracket[];
}

/** Where a bar stands. */
export interface BarPlace {
  /** Its edges, in staff spaces. */
  readonly left: number;
  readonly right: number;
  /** The middle of a column. @param at ticks from the bar's start */
  readonly xOf: (at: number) => number;
  /** The cycle begins or ends here: it is played again from there. */
  readonly begins: boolean;
  readonly ends: boolean;
  /** A bar line closes it; the first half of a bar has none. */
  readonly closes: boolean;
}

/** Length of a beam of one note. */
const STUB = 1.1;
const BAR_LINE = 0.16;
const THICK = 0.5;

/** Puts what was shaped into its place.
 * @param repeats what a repeat sign says of this bar, as `repeatsOf` has it; null writes it out */
export function placeBar(
  shape: BarShape,
  place: BarPlace,
  repeats: ReturnType<typeof repeatsOf>[number] = null,
): StaffBar {
  const lines = barLines(place);
  if (repeats !== null) {
    const signs = repeats === 'empty' ? [] : [repeatSign(place, repeats)];
    return {
      glyphs: [...signs, ...lines.glyphs],
      strokes: lines.strokes,
      slants: [],
      bows: [],
      brackets: [],
    };
  }
  const parts = [
    placeVoice(shape.hands, place.xOf),
    placeVoice(shape.feet, (at) => place.xOf(at) + (shape.moved.get(at) ?? 0)),
  ];
  const rest: StaffGlyph = {
    glyph: 'restWhole',
    x: (place.left + place.right) / 2 - HEAD / 2,
    y: 1,
  };
  return {
    glyphs: [
      ...parts.flatMap((part) => part.glyphs),
      ...(shape.rests && place.closes ? [rest] : []),
      ...lines.glyphs,
    ],
    strokes: [...parts.flatMap((part) => part.strokes), ...lines.strokes],
    slants: parts.flatMap((part) => part.slants),
    bows: parts.flatMap((part) => part.bows),
    brackets: [...parts.flatMap((part) => part.brackets), ...onRepeat(shape, place.xOf)],
  };
}

/** A sign for one bar stands in its middle, one for two on the bar line between them. */
function repeatSign({ left, right }: BarPlace, bars: 1 | 2): StaffGlyph {
  const glyph = bars === 1 ? 'repeat1Bar' : 'repeat2Bars';
  const middle = bars === 1 ? (left + right) / 2 : left;
  return { glyph, x: middle - GLYPHS[glyph][2] / 2, y: 2 };
}

function placeVoice(voice: VoiceShape, xOf: (at: number) => number): StaffBar {
  const xs = voice.columns.map(({ sign }) => xOf(sign.at));
  const moved = voice.columns.map((column, index) => moveColumn(column, xs[index] ?? 0));
  const beams = voice.beams.flatMap(({ members, runs, up, y }) =>
    runs.map(({ from, to, level, stub }): Box => {
      const left = (xs[members[from] ?? 0] ?? 0) + stemX(up);
      const right = (xs[members[to] ?? 0] ?? 0) + stemX(up) + STEM;
      const top = up ? y + level * BEAM_STEP : y - level * BEAM_STEP - BEAM;
      if (stub === null) return [left, top, right, top + BEAM];
      return stub === 'back'
        ? [right - STUB, top, right, top + BEAM]
        : [left, top, left + STUB, top + BEAM];
    }),
  );
  const brackets = voice.tuplets.map(({ members, number, bracket, y }): StaffBracket => {
    const first = xs[members[0] ?? 0] ?? 0;
    const last = xs[members.at(-1) ?? 0] ?? 0;
    const up = voice.columns[0]?.up ?? true;
    const kind = bracket ? 'bracket' : 'number';
    return { text: String(number), from: first - HEAD / 2, to: last + HEAD / 2, y, up, kind };
  });
  return {
    glyphs: moved.flatMap((column) => column.glyphs),
    strokes: [...moved.flatMap((column) => column.strokes), ...beams],
    slants: moved.flatMap((column) => column.slants),
    bows: moved.flatMap((column) => column.bows),
    brackets,
  };
}

function moveColumn({ glyphs, strokes, slants, bows }: ColumnShape, by: number) {
  return {
    glyphs: glyphs.map((one): StaffGlyph => ({ ...one, x: one.x + by })),
    strokes: strokes.map(([left, top, right, bottom]): Box => [left + by, top, right + by, bottom]),
    slants: slants.map(({ from, to }): Slant => ({
      from: [from[0] + by, from[1]],
      to: [to[0] + by, to[1]],
    })),
    bows: bows.map((bow): Bow => ({ ...bow, from: bow.from + by, to: bow.to + by })),
  };
}

function barLines({ left, right, begins, ends, closes }: BarPlace): {
  readonly glyphs: readonly StaffGlyph[];
  readonly strokes: readonly Box[];
} {
  const glyphs: StaffGlyph[] = [];
  const strokes: Box[] = [];
  const line = (x: number, thick = BAR_LINE) => strokes.push([x, 0, x + thick, 4]);
  const dots = (x: number) => {
    for (const y of [1.5, 2.5]) glyphs.push({ glyph: 'dot', x, y });
  };
  if (begins) {
    line(left - THICK - 2 * BAR_LINE, THICK);
    line(left - BAR_LINE);
    dots(left + 0.2);
  }
  if (ends) {
    dots(right - 0.65);
    line(right);
    line(right + 2 * BAR_LINE, THICK);
  } else if (closes) {
    line(right - BAR_LINE);
  }
  return { glyphs, strokes };
}

/** A second-time bracket over what is silent the first time round. */
function onRepeat(shape: BarShape, xOf: (at: number) => number): readonly StaffBracket[] {
  const { onRepeat: over, top, bottom } = shape;
  if (!over) return [];
  const away = TUPLET_HEIGHT / 2 + 0.3;
  return [
    {
      text: '2.',
      from: xOf(over.from) - HEAD,
      to: xOf(over.to) + HEAD,
      y: over.up ? top - away : bottom + away,
      up: over.up,
      kind: 'second-time',
    },
  ];
}
