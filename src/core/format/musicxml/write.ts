import { voice, type Voice, type VoiceId } from '../../kit';
import { shapeBar } from '../../notation';
import type { Exercise } from '../../recipe';
import { gcd, tempoBeatTicks, TICKS_PER_QUARTER, type Meter } from '../../time';
import type { Piece } from '../piece';
import { element, type Xml } from './xml';
import { instrumentId, NOTE_TYPES, notes, type BarVoice } from './write-notes';

interface Shaped {
  readonly piece: Piece;
  readonly bars: readonly (readonly BarVoice[])[];
}

/** Writes exercises one after the other as MusicXML 4.0 (score-partwise): one part, hands in voice 1 with stems up,
 * feet in voice 2 with stems down; each exercise between repeat signs, with its name and tempo. What the format
 * has no sign for is written as its nearest one: see docs/formats.md.
 * @param title of the score */
export function writeMusicXml(title: string, pieces: readonly Piece[]): string {
  const voices = voicesIn(pieces);
  const shaped = pieces.map((piece) => ({ piece, bars: barsOf(piece.exercise) }));
  const divisions = TICKS_PER_QUARTER / commonDivisor(shaped);
  let number = 0;
  let meter: Meter | null = null;
  const measures = shaped.flatMap(({ piece, bars }) => {
    const { exercise } = piece;
    const changed = meter === null || !sameMeter(meter, exercise.meter);
    const opening = number === 0 ? divisions : null;
    meter = exercise.meter;
    return bars.map((voicesOfBar, bar) => {
      number += 1;
      const isFirst = bar === 0;
      const inside = [
        isFirst ? barLine('left') : null,
        isFirst && (changed || opening !== null) ? attributes(exercise.meter, opening) : null,
        ...(isFirst ? directions(piece, pieces.length > 1) : []),
        ...notes(exercise, voicesOfBar, divisions),
        bar === exercise.bars - 1 ? barLine('right') : null,
      ];
      return element('measure', inside, { number });
    });
  });
  const score = element(
    'score-partwise',
    [
      element('work', [element('work-title', title)]),
      element('identification', [
        element('encoding', [
          element('software', 'Mivvel'),
          element('supports', [], { element: 'accidental', type: 'no' }),
          element('supports', [], { element: 'beam', type: 'yes' }),
          element('supports', [], { element: 'stem', type: 'yes' }),
        ]),
      ]),
      element('part-list', [partOf(voices)]),
      element('part', measures, { id: 'P1' }),
    ],
    { version: '4.0' },
  );
  return `<?xml version="1.0" encoding="UTF-8"?>\n${score}\n`;
}

function voicesIn(pieces: readonly Piece[]): readonly Voice[] {
  const ids = new Set<VoiceId>(
    pieces.flatMap(({ exercise }) => exercise.strokes.map((stroke) => stroke.voice)),
  );
  return [...ids].map(voice).sort((a, b) => b.line - a.line);
}

/** Of all lengths that are written, in ticks. */
function commonDivisor(shaped: readonly Shaped[]): number {
  let common: number = TICKS_PER_QUARTER;
  for (const { piece, bars } of shaped) {
    for (const { columns } of bars.flat()) {
      for (const { sign } of columns) common = gcd(common, sign.ticks);
    }
    common = gcd(common, piece.exercise.barTicks);
  }
  return common;
}

/** Hands and feet of each bar, as notation writes them. */
function barsOf(exercise: Exercise): Shaped['bars'] {
  return Array.from({ length: exercise.bars }, (_, bar) => {
    const { hands, feet } = shapeBar(exercise, bar);
    return [hands, feet];
  });
}

function partOf(voices: readonly Voice[]): Xml {
  const names = voices.map(({ id, name }) =>
    element('score-instrument', [element('instrument-name', name)], { id: instrumentId(id) }),
  );
  const keys = voices.map(({ id, midi }) =>
    // Keys of the format count from 1.
    element('midi-instrument', [element('midi-channel', 10), element('midi-unpitched', midi + 1)], {
      id: instrumentId(id),
    }),
  );
  return element('score-part', [element('part-name', 'Drums'), ...names, ...keys], { id: 'P1' });
}

function sameMeter(one: Meter, other: Meter): boolean {
  return (
    one.count === other.count &&
    one.unit === other.unit &&
    one.grouping.join() === other.grouping.join()
  );
}

function attributes({ count, unit }: Meter, divisions: number | null): Xml {
  return element('attributes', [
    divisions === null ? null : element('divisions', divisions),
    element('time', [element('beats', count), element('beat-type', unit)]),
    divisions === null ? null : element('clef', [element('sign', 'percussion')]),
  ]);
}

function barLine(side: 'left' | 'right'): Xml {
  const left = side === 'left';
  return element(
    'barline',
    [
      element('bar-style', left ? 'heavy-light' : 'light-heavy'),
      element('repeat', [], { direction: left ? 'forward' : 'backward' }),
    ],
    { location: side },
  );
}

/** Name, sentence and tempo, over the first bar. */
function directions({ name, says, exercise, bpm }: Piece, named: boolean): readonly Xml[] {
  const beat = tempoBeatTicks(exercise.meter);
  const quartersAMinute = (bpm * beat) / TICKS_PER_QUARTER;
  const above = (type: Xml, sound: Xml | null = null) =>
    element('direction', [element('direction-type', [type]), sound], { placement: 'above' });
  const words = [named ? name : '', says].filter((one) => one !== '');
  return [
    ...words.map((one) => above(element('words', one))),
    above(
      element('metronome', [...beatUnit(beat), element('per-minute', bpm)]),
      element('sound', [], { tempo: quartersAMinute }),
    ),
  ];
}

function beatUnit(ticks: number): readonly Xml[] {
  const quarters = ticks / TICKS_PER_QUARTER;
  const dotted = Number.isInteger(Math.log2(quarters)) ? null : element('beat-unit-dot');
  const plain = dotted ? quarters / 1.5 : quarters;
  return [element('beat-unit', NOTE_TYPES[4 / plain] ?? 'quarter'), ...(dotted ? [dotted] : [])];
}
