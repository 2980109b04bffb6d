import { strToU8 } from 'fflate';
import { writeMidi as writeBytes, type MidiData, type MidiEvent } from 'midi-file';
import { LIMBS, voice, type Limb, type VoiceId } from '../../kit';
import { eventsBetween, scoreOf } from '../../playing';
import { GRACE_APART_MS, gracesOf } from '../../pattern';
import type { Exercise } from '../../recipe';
import {
  secondsToTicks,
  tempoBeatTicks,
  tempoFor,
  TICKS_PER_QUARTER,
  type Meter,
  type Tempo,
} from '../../time';
import type { Piece } from '../piece';
import { velocityOf } from '../velocity';
import { trackName } from './track-name';

/** Percussion of General MIDI Level 1 is on channel 10, which the file counts from 0. */
const CHANNEL = 9;

/** How long a key is held: a drum ends by itself. */
const HELD = TICKS_PER_QUARTER / 16;

/** Grace notes are softer than their note; common practice, no source. */
const GRACE_VELOCITY = 0.6;

interface Timed {
  readonly at: number;
  readonly event: MidiEvent;
}

/** Writes exercises one after the other as a Standard MIDI File, type 1: a first track with names, tempi and meters,
 * then one for each limb that plays, on channel 10 with keys of General MIDI Level 1; a voice
 * that shares its key with another one has a track of its own, named after both: `LH (aux-snare)`. Its ticks are ours, 20160 to a quarter note, so that every place is exact. Swing sounds as it is played,
 * and so do grace notes, diddles and rolls.
 * Each exercise is played once. */
export function writeMidi(title: string, pieces: readonly Piece[]): Uint8Array {
  const conductor: Timed[] = [{ at: 0, event: meta({ type: 'trackName', text: title }) }];
  const tracks = new Map<string, Timed[]>();
  let from = 0;
  for (const { name, exercise, bpm } of pieces) {
    const tempo = tempoFor(exercise.meter, bpm);
    conductor.push(
      { at: from, event: meta({ type: 'marker', text: name }) },
      { at: from, event: meta({ type: 'timeSignature', ...signature(exercise.meter) }) },
      { at: from, event: meta({ type: 'setTempo', microsecondsPerBeat: microseconds(tempo) }) },
    );
    for (const { limb, voice: id, at, velocity } of struckKeys(exercise, tempo)) {
      const name = trackName(limb, id);
      const own = tracks.get(name) ?? [];
      tracks.set(name, own);
      const key = voice(id).midi;
      const on = Math.max(0, Math.round(from + at));
      own.push({ at: on, event: keyed('noteOn', key, velocity) });
      own.push({ at: on + HELD, event: keyed('noteOff', key, 0) });
    }
    from += exercise.cycleTicks;
  }
  const limbOf = ([name]: readonly [string, unknown]) =>
    LIMBS.findIndex((limb) => name.startsWith(limb));
  const played = [...tracks]
    .toSorted((a, b) => limbOf(a) - limbOf(b) || a[0].length - b[0].length)
    .map(([name, own]) => {
      const named = { at: 0, event: meta({ type: 'trackName', text: name }) };
      return inFile([named, ...own], from);
    });
  const data: MidiData = {
    header: { format: 1, numTracks: played.length + 1, ticksPerBeat: TICKS_PER_QUARTER },
    tracks: [inFile(conductor, from), ...played],
  };
  return Uint8Array.from(writeBytes(data));
}

type Meta =
  | { readonly type: 'trackName' | 'marker'; readonly text: string }
  | { readonly type: 'setTempo'; readonly microsecondsPerBeat: number }
  | ({ readonly type: 'timeSignature' } & ReturnType<typeof signature>);

function meta(event: Meta): MidiEvent {
  const said = 'text' in event ? { ...event, text: utf8(event.text) } : event;
  return { deltaTime: 0, meta: true, ...said } as MidiEvent;
}

/** Text as the bytes of UTF-8, a letter for each: that is how the file is written. */
function utf8(text: string): string {
  return String.fromCharCode(...strToU8(text));
}

function keyed(type: 'noteOn' | 'noteOff', noteNumber: number, velocity: number): MidiEvent {
  return { deltaTime: 0, type, channel: CHANNEL, noteNumber, velocity };
}

/** Clocks of the metronome are 24 to a quarter note. */
function signature(meter: Meter) {
  return {
    numerator: meter.count,
    denominator: meter.unit,
    metronome: Math.round((24 * tempoBeatTicks(meter)) / TICKS_PER_QUARTER),
    thirtyseconds: 8,
  };
}

function microseconds({ bpm, beatTicks }: Tempo): number {
  return Math.round((60_000_000 / bpm) * (TICKS_PER_QUARTER / beatTicks));
}

interface Struck {
  readonly limb: Limb;
  /** In ticks of the file from the start of the exercise; a grace note before it is negative. */
  readonly at: number;
  readonly voice: VoiceId;
  readonly velocity: number;
}

/** Everything that limbs strike, grace notes before their notes included. */
function struckKeys(exercise: Exercise, tempo: Tempo): readonly Struck[] {
  const score = { ...scoreOf(exercise, { bars: exercise.bars }), countInBars: 0 };
  const found: Struck[] = [];
  for (const event of eventsBetween(score, 0, exercise.cycleTicks)) {
    if (event.kind !== 'stroke') continue;
    const { limb, at, dynamic, voice: id, ornament, graceMs } = event;
    const velocity = velocityOf(dynamic, event.db);
    const graces = ornament ? gracesOf({ ornament, limb }) : [];
    graces.forEach((hand, index) => {
      const before = secondsToTicks(((graceMs ?? GRACE_APART_MS) * (index + 1)) / 1000, tempo);
      const soft = Math.max(1, Math.round(velocity * GRACE_VELOCITY));
      found.push({ limb: hand, at: at - before, voice: id, velocity: soft });
    });
    found.push({ limb, at, voice: id, velocity });
  }
  return found;
}

/** Events in order of time, each after the time that passed since the one before it; a key is let go before it is
 * struck again. */
function inFile(events: readonly Timed[], end: number): MidiEvent[] {
  const rank = ({ event }: Timed) => (event.type === 'noteOff' ? 0 : 1);
  const sorted = [...events].sort((a, b) => a.at - b.at || rank(a) - rank(b));
  let now = 0;
  const timed = sorted.map(({ at, event }): MidiEvent => {
    const deltaTime = at - now;
    now = at;
    return { ...event, deltaTime };
  });
  const last: MidiEvent = {
    deltaTime: Math.max(0, Math.round(end) - now),
    meta: true,
    type: 'endOfTrack',
  };
  return [...timed, last];
}
