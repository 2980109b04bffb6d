import { isHand, levelDb, texture, voice, type Voice, type VoiceId } from '../../kit';
import { shapeBar } from '../../notation';
import { gracesOf, type Stroke } from '../../pattern';
import type { Exercise } from '../../recipe';
import { TICKS_PER_QUARTER } from '../../time';
import { velocityOf } from '../velocity';
import { element, type Xml } from './xml';

export type BarVoice = ReturnType<typeof shapeBar>['hands'];
type Sign = BarVoice['columns'][number]['sign'];

/** How an instrument of the part is referred to. */
export const instrumentId = (id: VoiceId) => `P1-${id}`;

/** Values by the part of a whole note that they are. */
export const NOTE_TYPES: Readonly<Record<number, string>> = {
  1: 'whole',
  2: 'half',
  4: 'quarter',
  8: 'eighth',
  16: '16th',
  32: '32nd',
  64: '64th',
};

/** The notes of a bar: the hands, then back to its start, and the feet. */
export function notes(
  exercise: Exercise,
  voicesOfBar: readonly BarVoice[],
  divisions: number,
): readonly Xml[] {
  const inDivisions = (ticks: number) => (ticks * divisions) / TICKS_PER_QUARTER;
  const whole = inDivisions(exercise.barTicks);
  const written = voicesOfBar.flatMap((one, index) =>
    one.columns.length > 0 ? [{ one, nth: index + 1 }] : [],
  );
  if (written.length === 0) {
    const rest = element('rest', [], { measure: 'yes' });
    return [element('note', [rest, element('duration', whole), element('voice', 1)])];
  }
  return written.flatMap(({ one, nth }, index) => [
    ...(index > 0 ? [element('backup', [element('duration', whole)])] : []),
    ...one.columns.flatMap(({ sign }, at) => {
      const { base, dots, strokes, tuplet, ticks } = sign;
      const shared = {
        voice: nth,
        duration: inDivisions(ticks),
        type: NOTE_TYPES[base] ?? 'quarter',
        dots,
        modification: tuplet && timeModification(tuplet),
        beams: beamsOf(one, at),
        tuplets: tupletsOf(one, at),
      };
      if (strokes.length === 0) return [restNote(shared)];
      return [...graceNotes(sign, nth), ...chord(strokes, shared, exercise)];
    }),
  ]);
}

interface Shared {
  readonly voice: number;
  readonly duration: number;
  readonly type: string;
  readonly dots: number;
  readonly modification: Xml | null;
  readonly beams: readonly Xml[];
  readonly tuplets: readonly Xml[];
}

function restNote({ voice: nth, duration, type, dots, modification, tuplets }: Shared): Xml {
  return element('note', [
    element('rest'),
    element('duration', duration),
    element('voice', nth),
    element('type', type),
    ...(dots > 0 ? [element('dot')] : []),
    modification,
    tuplets.length > 0 ? element('notations', tuplets) : null,
  ]);
}

/** One note for each voice; limbs that share one share its note. */
function chord(strokes: readonly Stroke[], shared: Shared, exercise: Exercise): readonly Xml[] {
  const byVoice = [...new Set(strokes.map((stroke) => stroke.voice))]
    .map((id) => strokes.filter((stroke) => stroke.voice === id))
    .sort(([a], [b]) => lineOf(a) - lineOf(b));
  return byVoice.map((same, index) => {
    const [first] = same;
    if (!first) return '';
    const own = notations(same, index === 0 ? shared.tuplets : []);
    const velocity = Math.max(
      ...same.map((stroke) => velocityOf(stroke.dynamic, dbOf(stroke, exercise))),
    );
    return element(
      'note',
      [
        index > 0 ? element('chord') : null,
        unpitched(first.voice),
        element('duration', shared.duration),
        element('instrument', [], { id: instrumentId(first.voice) }),
        element('voice', shared.voice),
        element('type', shared.type),
        ...(shared.dots > 0 ? [element('dot')] : []),
        shared.modification,
        element('stem', shared.voice === 1 ? 'up' : 'down'),
        notehead(
          first.voice,
          same.every(({ dynamic }) => dynamic === 'ghost'),
        ),
        ...(index === 0 ? shared.beams : []),
        own,
      ],
      // In per cent of a forte, which is velocity 90.
      { dynamics: Math.round((velocity / 90) * 10000) / 100 },
    );
  });
}

/** What the style's levels, and how the stroke is made, add to its dynamic. */
function dbOf({ voice: id, texture: made }: Stroke, { levels }: Exercise): number {
  return (levels ? levelDb(levels, id) : 0) + (made ? texture(made).db : 0);
}

function lineOf(stroke: Stroke | undefined): number {
  return stroke ? voice(stroke.voice).line : 0;
}

const STEPS = ['E', 'F', 'G', 'A', 'B', 'C', 'D'] as const;

/** Where it stands, as if under a treble clef: the bottom line is E4. */
function unpitched(id: VoiceId): Xml {
  const { line } = voice(id);
  const step = STEPS[((line % 7) + 7) % 7] ?? 'E';
  // Octaves begin with C, which is five steps over E.
  const octave = 4 + Math.floor((line + 2) / 7);
  return element('unpitched', [element('display-step', step), element('display-octave', octave)]);
}

const NOTEHEADS: Readonly<Record<Voice['head'], string>> = {
  oval: 'normal',
  x: 'x',
  open: 'x',
  'half-open': 'x',
  diamond: 'diamond',
  triangle: 'triangle',
  slash: 'slashed',
};

function notehead(id: VoiceId, ghost: boolean): Xml | null {
  const head = NOTEHEADS[voice(id).head];
  if (head === 'normal' && !ghost) return null;
  return element('notehead', head, { parentheses: ghost ? 'yes' : undefined });
}

/** Tuplets, rolls, stickings, open hi-hats and accents, in the order of the format. */
function notations(same: readonly Stroke[], tuplets: readonly Xml[]): Xml | null {
  const [first] = same;
  const ornament = same.find(({ ornament: one }) => one && one in TREMOLOS)?.ornament;
  const tremolo = ornament && TREMOLOS[ornament];
  const hands = same.filter(({ limb }) => isHand(limb)).map(({ limb }) => limb.slice(0, 1));
  const feet = same.filter(({ limb, voice: id }) => !isHand(limb) && id === 'bass');
  const letters = [...hands, ...feet.filter(({ limb }) => limb === 'LF').map(() => 'l')];
  const open = first && OPEN[first.voice];
  const technical = [
    ...letters.map((letter) => element('fingering', letter)),
    ...(open ? [open] : []),
  ];
  const accented = same.some(({ dynamic }) => dynamic === 'accent');
  const inside = [
    ...tuplets,
    tremolo ? element('ornaments', [tremolo]) : null,
    technical.length > 0 ? element('technical', technical) : null,
    accented ? element('articulations', [element('accent')]) : null,
  ];
  return inside.some((one) => one !== null) ? element('notations', inside) : null;
}

/** Slashes through the stem: a diddle is one, a roll three; a buzz is a roll that is not counted. */
const TREMOLOS: Readonly<Partial<Record<NonNullable<Stroke['ornament']>, Xml>>> = {
  diddle: element('tremolo', 1, { type: 'single' }),
  roll: element('tremolo', 3, { type: 'single' }),
  buzz: element('tremolo', 3, { type: 'single' }),
};

/** A circle for an open hi-hat; a half-open one has no sign in the format. */
const OPEN: Readonly<Partial<Record<VoiceId, Xml>>> = {
  'hat-open': element('open-string'),
  'hat-half': element('other-technical', 'half-open'),
};

/** Small notes before the main ones, in the order in which they sound: one with a slash, more as 16ths. */
function graceNotes({ strokes }: Sign, nth: number): readonly Xml[] {
  const ornamented = strokes.filter((stroke) => gracesOf(stroke).length > 0);
  const most = Math.max(0, ...ornamented.map((stroke) => gracesOf(stroke).length));
  return Array.from({ length: most }, (_, index) => most - 1 - index).flatMap((before) =>
    ornamented
      .filter((stroke) => gracesOf(stroke).length > before)
      .map((stroke, at) => {
        const limb = gracesOf(stroke)[before] ?? stroke.limb;
        const hand = isHand(limb)
          ? element('notations', [element('technical', [element('fingering', limb.slice(0, 1))])])
          : null;
        return element('note', [
          element('grace', [], { slash: most === 1 ? 'yes' : undefined }),
          at > 0 ? element('chord') : null,
          unpitched(stroke.voice),
          element('instrument', [], { id: instrumentId(stroke.voice) }),
          element('voice', nth),
          element('type', most === 1 ? 'eighth' : '16th'),
          element('stem', nth === 1 ? 'up' : 'down'),
          notehead(stroke.voice, false),
          hand,
        ]);
      }),
  );
}

function timeModification(tuplet: NonNullable<Sign['tuplet']>): Xml {
  return element('time-modification', [
    element('actual-notes', tuplet.played),
    element('normal-notes', tuplet.inTimeOf),
  ]);
}

/** The beams of one note: begin, go on or end, and stubs. */
function beamsOf({ beams }: BarVoice, column: number): readonly Xml[] {
  const group = beams.find(({ members }) => members.includes(column));
  const place = group?.members.indexOf(column) ?? -1;
  if (!group || place < 0) return [];
  return group.runs
    .filter(({ from, to }) => place >= from && place <= to)
    .sort((a, b) => a.level - b.level)
    .map(({ from, to, level, stub }) => {
      const kind =
        stub === 'on'
          ? 'forward hook'
          : stub === 'back'
            ? 'backward hook'
            : place === from
              ? 'begin'
              : place === to
                ? 'end'
                : 'continue';
      return element('beam', kind, { number: level + 1 });
    });
}

function tupletsOf({ tuplets }: BarVoice, column: number): readonly Xml[] {
  return tuplets.flatMap(({ members, bracket }) => {
    const starts = members[0] === column;
    const stops = members.at(-1) === column;
    const sign = (type: 'start' | 'stop') =>
      element('tuplet', [], {
        type,
        bracket: type === 'start' ? (bracket ? 'yes' : 'no') : undefined,
      });
    return [...(starts ? [sign('start')] : []), ...(stops ? [sign('stop')] : [])];
  });
}
