import {
  Annotation,
  AnnotationVerticalJustify,
  Articulation,
  Beam,
  Dot,
  Font,
  Formatter,
  GraceNote,
  GraceNoteGroup,
  ModifierPosition,
  Parenthesis,
  Renderer,
  Stave,
  StaveNote,
  Stem,
  Tremolo,
  Tuplet,
  VexFlow,
  Voice,
  type RenderContext,
} from 'vexflow/core';
import { voice as kitVoice, type VoiceId } from '@/core/kit';
import { notate, type WrittenSign } from '@/core/notation';
import { gracesOf, type Ornament, type Stroke } from '@/core/pattern';
import type { Exercise } from '@/core/recipe';
import { placeX, type BarBox, type System } from './columns';

let fonts: Promise<unknown> | null = null;

/** The music font comes from our own address; without it the engraver would ask a network. */
function loadFonts(): Promise<unknown> {
  fonts ??= Font.load('Bravura', '/fonts/bravura.woff2')
    .then(() => VexFlow.setFonts('Bravura', 'Archivo Variable'))
    .catch((error: unknown) => {
      fonts = null;
      throw error;
    });
  return fonts;
}

/** Where the first staff line's box begins, px from the top; room for stems, accents and numbers of tuplets above. */
const STAVE_TOP = 24;

const HEAD_HALF_PX = 6;

/** Draws one system in standard percussion notation, every sign under its column.
 * @param first whether the meter is written
 * @returns an element that holds the finished drawing
 * @throws when the music font does not load */
export async function engrave(
  exercise: Exercise,
  system: System,
  first: boolean,
  height: number,
): Promise<HTMLElement> {
  await loadFonts();
  const place = document.createElement('div');
  const renderer = new Renderer(place, Renderer.Backends.SVG);
  renderer.resize(system.width, height);
  const context = renderer.getContext();
  const gutter = system.bars[0]?.edge ?? 0;
  if (gutter > 0) {
    const head = new Stave(0, STAVE_TOP, gutter, { rightBar: false }).addClef('percussion');
    const { count, unit } = exercise.meter;
    if (first) head.addTimeSignature(`${count}/${unit}`);
    head.setContext(context).draw();
  }
  const written = notate(exercise);
  for (const box of system.bars) {
    const bar = written[box.bar];
    // A bar that is broken in two has its lines at its own ends.
    const stave = new Stave(box.edge, STAVE_TOP, box.right - box.edge - 1, {
      leftBar: box.from === 0,
      rightBar: box.to === exercise.barTicks,
    });
    stave.setContext(context).draw();
    if (!bar) continue;
    const both = bar.hands.length > 0 && bar.feet.length > 0;
    drawBar(context, stave, box, exercise, [
      { signs: within(bar.hands, box), up: true, restKey: both ? 'e/5' : 'b/4' },
      { signs: within(bar.feet, box), up: false, restKey: both ? 'e/4' : 'b/4' },
    ]);
  }
  return place;
}

function within(signs: readonly WrittenSign[], { from, to }: BarBox): readonly WrittenSign[] {
  return signs.filter(({ at }) => at >= from && at < to);
}

interface Part {
  readonly signs: readonly WrittenSign[];
  readonly up: boolean;
  readonly restKey: string;
}

interface Drawn {
  readonly sign: WrittenSign;
  readonly note: StaveNote;
}

function drawBar(
  context: RenderContext,
  stave: Stave,
  box: BarBox,
  exercise: Exercise,
  parts: readonly Part[],
): void {
  const drawn = parts
    .filter((part) => part.signs.length > 0)
    .map((part) => part.signs.map((sign): Drawn => ({ sign, note: noteOf(sign, part) })));
  if (drawn.length === 0) return;
  // Tuplets first: a voice takes the resolution of its columns from notes that are in theirs.
  const beams = drawn.flatMap(beamsOf);
  const tuplets = drawn.flatMap((notes, index) => tupletsOf(notes, parts[index]?.up ?? true));
  const voices = drawn.map((notes) =>
    new Voice({ numBeats: exercise.meter.count, beatValue: exercise.meter.unit })
      .setMode(Voice.Mode.SOFT)
      .addTickables(notes.map(({ note }) => note)),
  );
  new Formatter().joinVoices(voices).format(voices, box.right - box.left);
  for (const { sign, note } of drawn.flat()) {
    note.setStave(stave);
    const wanted = placeX(box, sign.at) - HEAD_HALF_PX;
    const column = note.checkTickContext();
    column.setX(column.getX() + wanted - note.getAbsoluteX());
  }
  for (const voice of voices) voice.draw(context, stave);
  for (const beam of beams) beam.setContext(context).draw();
  for (const tuplet of tuplets) tuplet.setContext(context).draw();
}

function noteOf(sign: WrittenSign, part: Part): StaveNote {
  const strokes = headsOf(sign.strokes);
  const rest = strokes.length === 0;
  const note = new StaveNote({
    keys: rest ? [part.restKey] : strokes.map((stroke) => staffKey(stroke.voice)),
    duration: `${sign.base}${rest ? 'r' : ''}`,
    dots: sign.dots,
    stemDirection: part.up ? Stem.UP : Stem.DOWN,
  });
  if (sign.dots > 0) Dot.buildAndAttach([note], { all: true });
  strokes.forEach((stroke, index) => {
    if (stroke.dynamic !== 'ghost') return;
    note.addModifier(new Parenthesis(ModifierPosition.LEFT), index);
    note.addModifier(new Parenthesis(ModifierPosition.RIGHT), index);
  });
  const position = part.up ? ModifierPosition.ABOVE : ModifierPosition.BELOW;
  if (strokes.some((stroke) => stroke.dynamic === 'accent')) {
    note.addModifier(new Articulation('a>').setPosition(position), 0);
  }
  if (strokes.some((stroke) => kitVoice(stroke.voice).head === 'open')) {
    note.addModifier(new Articulation('ah').setPosition(position), 0);
  }
  const ornamented = strokes.find((stroke) => stroke.ornament);
  if (ornamented) addOrnament(note, ornamented, part.up);
  return note;
}

/** Strokes through the stem: a diddle is two, a roll as many as fit. */
const TREMOLOS: Readonly<Partial<Record<Ornament, number>>> = { diddle: 1, roll: 3 };

/** Grace notes before the note, strokes through its stem, or a z on it. */
function addOrnament(note: StaveNote, stroke: Stroke, up: boolean): void {
  const { ornament, voice: id } = stroke;
  if (!ornament) return;
  const graces = gracesOf(stroke).length;
  const tremolos = TREMOLOS[ornament];
  if (graces) {
    const notes = Array.from(
      { length: graces },
      () =>
        new GraceNote({
          keys: [staffKey(id)],
          duration: graces > 1 ? '16' : '8',
          slash: graces === 1,
        }),
    );
    const group = new GraceNoteGroup(notes, true);
    if (graces > 1) group.beamNotes();
    note.addModifier(group, 0);
  } else if (tremolos) {
    note.addModifier(new Tremolo(tremolos), 0);
  } else {
    const side = up ? AnnotationVerticalJustify.TOP : AnnotationVerticalJustify.BOTTOM;
    note.addModifier(new Annotation('z').setVerticalJustification(side), 0);
  }
}

/** One head for each voice, from the bottom up; limbs that share a voice share its head. */
function headsOf(strokes: readonly Stroke[]): readonly Stroke[] {
  const heads = new Map(strokes.map((stroke) => [stroke.voice, stroke]));
  return [...heads.values()].sort((a, b) => lineOf(a.voice) - lineOf(b.voice));
}

function lineOf(id: VoiceId): number {
  return kitVoice(id).line;
}

const STEPS = ['e', 'f', 'g', 'a', 'b', 'c', 'd'] as const;

const HEADS: Readonly<Record<string, string>> = {
  x: '/x2',
  open: '/x2',
  diamond: '/d2',
  triangle: '/t2',
  slash: '/s2',
};

/** Staff places as the engraver names them, from the bottom line e/4 up; its head after it. */
function staffKey(id: VoiceId): string {
  const { line, head } = kitVoice(id);
  const step = STEPS[((line % 7) + 7) % 7] ?? 'e';
  const octave = 4 + Math.floor((line + 2) / 7);
  return `${step}/${octave}${HEADS[head] ?? ''}`;
}

/** Neighbouring notes shorter than a quarter share a beam within their beat. */
function beamsOf(notes: readonly Drawn[]): Beam[] {
  const runs: StaveNote[][] = [];
  let before: Drawn | null = null;
  for (const one of notes) {
    const beamed = one.sign.base >= 8 && one.sign.strokes.length > 0;
    const goesOn = before !== null && before.sign.beat === one.sign.beat;
    if (beamed && goesOn) runs.at(-1)?.push(one.note);
    else if (beamed) runs.push([one.note]);
    before = beamed ? one : null;
  }
  return runs.filter((run) => run.length > 1).map((run) => new Beam(run));
}

function tupletsOf(notes: readonly Drawn[], up: boolean): Tuplet[] {
  const groups = new Map<number, Drawn[]>();
  for (const one of notes) {
    if (!one.sign.tuplet) continue;
    groups.set(one.sign.beat, [...(groups.get(one.sign.beat) ?? []), one]);
  }
  return [...groups.values()].map((group) => {
    const { played = 3, inTimeOf = 2 } = group[0]?.sign.tuplet ?? {};
    return new Tuplet(
      group.map(({ note }) => note),
      {
        numNotes: played,
        notesOccupied: inTimeOf,
        location: up ? Tuplet.LOCATION_TOP : Tuplet.LOCATION_BOTTOM,
        ratioed: false,
        bracketed: group.some(({ sign }) => sign.base < 8 || sign.strokes.length === 0),
      },
    );
  });
}
