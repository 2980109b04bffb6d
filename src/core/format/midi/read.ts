import { parseMidi, type MidiData, type MidiEvent } from 'midi-file';
import { fail, ok, type Result } from '../../issue';
import type { Limb, VoiceId } from '../../kit';
import type { Ornament } from '../../pattern';
import {
  barTicks,
  parseMeter,
  TICKS_PER_QUARTER,
  type Meter,
  type SubdivisionId,
} from '../../time';
import {
  LeftOut,
  NO_REPEATS,
  voiceOfKey,
  type KeyVoices,
  type PlayedGrid,
  type Score,
  type ScoreBar,
  type ScorePart,
  type ScoreStroke,
} from '../score';
import { dynamicOf } from '../velocity';
import { placeNotes, type Placed } from './place-notes';
import { readGraces } from './read-graces';
import { readTrackName } from './track-name';

const MOST_BYTES = 4_000_000;
const MOST_NOTES = 50_000;
const MOST_BARS = 2000;

/** Percussion of General MIDI Level 1 is on channel 10, which the file counts from 0. */
const DRUMS = 9;

/** A note of a file, and where it was put. */
export interface PlayedNote {
  readonly part: number;
  readonly bar: number;
  /** Slot of the bar, from 0, on its grid. */
  readonly slot: number;
  readonly grid: SubdivisionId;
  readonly key: number;
  /** Later than its slot, in ms; earlier is negative. */
  readonly offMs: number;
  readonly doubtful: boolean;
}

interface Played {
  readonly score: Score;
  readonly grid: PlayedGrid;
  readonly notes: readonly PlayedNote[];
}

interface Note {
  /** Quarters from the start. */
  readonly at: number;
  readonly key: number;
  readonly velocity: number;
  readonly limb: Limb | null;
  /** That its track is called after. */
  readonly voice: VoiceId | null;
}

interface Channel {
  readonly name: string;
  readonly isDrums: boolean;
  readonly notes: Note[];
}

export function isMidi(bytes: Uint8Array): boolean {
  return String.fromCharCode(...bytes.subarray(0, 4)) === 'MThd';
}

/** Reads a Standard MIDI File of type 0 or 1; each note is put on the nearest slot of a grid. Drums are one part,
 * whatever tracks they stand in; tracks that are called RH, LH, RF, LF say the limb.
 * @param grid null takes what is likely, as `placeNotes` says  @param keys voices of keys that are no drum of ours, or other
 * ones than are usual
 * @returns issues `file-large`; `file-midi` with the track that is damaged, or `frames` for a file in frames a second;
 * `file-silent`; `file-long` over 2,000 bars or 50,000 notes */
export function readMidi(
  bytes: Uint8Array,
  grid: PlayedGrid | null,
  keys: KeyVoices = new Map(),
): Result<Played> {
  if (bytes.length > MOST_BYTES)
    return fail({ code: 'file-large', path: [], most: MOST_BYTES / 1e6 });
  const damaged = damagedTrack(bytes);
  if (damaged !== null) return fail({ code: 'file-midi', path: [], track: damaged });
  let data: MidiData;
  try {
    data = parseMidi(bytes);
  } catch {
    return fail({ code: 'file-midi', path: [], track: 1 });
  }
  const { ticksPerBeat } = data.header;
  if (!ticksPerBeat) return fail({ code: 'file-frames', path: [] });
  const tracks = data.tracks.map((events) => timed(events, ticksPerBeat));
  const all = tracks.flat().sort((a, b) => a.at - b.at);
  const end = Math.max(0, ...tracks.map((events) => events.at(-1)?.at ?? 0));
  const channels = channelsOf(tracks);
  const count = channels.reduce((sum, { notes }) => sum + notes.length, 0);
  if (count === 0) return fail({ code: 'file-silent', path: [] });
  const tempi = all.filter(({ event }) => event.type === 'setTempo');
  const msAt = tempoAt(tempi);
  const parts = channels.map((channel) => readGraces(channel.notes, msAt));
  const tooLong = fail({
    code: 'file-long',
    path: [],
    bars: MOST_BARS,
    notes: MOST_NOTES,
  } as const);
  const written = barsOf(all, end);
  if (!written || count > MOST_NOTES) return tooLong;
  const struck = parts.flatMap((notes, part) =>
    notes.map(({ note, ornament, graces }) => ({ ...note, part, ornament, graces })),
  );
  const starts = [...written.map(({ at }) => at), endOf(written)];
  const { grid: on, placed } = placeNotes(struck, starts, ticksPerBeat, grid);
  // A note a little early for the bar after the last one makes that bar.
  const isEarly = placed.some(({ bar }) => bar >= written.length);
  const bars = isEarly ? barsOf(all, endOf(written) + NEAR) : written;
  if (!bars) return tooLong;
  const take: Take = {
    ...{ bars, msAt, keys, placed },
    tempoBars: tempi.map(({ at }) => bars.findLastIndex((bar) => bar.at <= at + NEAR) + 1),
    dropped: droppedOf(all, bars),
  };
  const [title] = all.filter(({ event }) => event.type === 'trackName');
  return ok({
    score: {
      title: textIn(title?.event),
      parts: channels.map((channel, part) => partOf(channel, part, take)),
    },
    grid: on,
    notes: placed.map(({ note, bar, slot, grid: own, off, doubtful }) => ({
      ...{ part: note.part, bar: bar + 1, slot, grid: own, key: note.key, doubtful },
      offMs: Math.round(off * msAt(note.at)),
    })),
  });
}

/** Places of files are sums of fractions: these may be off by less, in quarters. */
const NEAR = 0.001;

/** What all parts of a file are read with. */
interface Take {
  readonly bars: readonly BarAt[];
  /** Milliseconds a quarter note at a place. */
  readonly msAt: (at: number) => number;
  /** Bars in which a tempo is said, from 1. */
  readonly tempoBars: readonly number[];
  readonly keys: KeyVoices;
  readonly placed: readonly Placed<Struck>[];
  /** What is in the file and is none of notes, tempi and bars. */
  readonly dropped: readonly {
    readonly why: 'meter' | 'controls' | 'texts';
    readonly bar: number;
  }[];
}

interface Struck extends Note {
  readonly part: number;
  readonly ornament: Ornament | null;
  readonly graces: number;
}

interface Timed {
  /** Quarters from the start. */
  readonly at: number;
  readonly event: MidiEvent;
}

function timed(events: readonly MidiEvent[], ticksPerBeat: number): readonly Timed[] {
  let now = 0;
  return events.flatMap((event) => {
    if (!(event.deltaTime >= 0)) return [];
    now += event.deltaTime;
    return [{ at: now / ticksPerBeat, event }];
  });
}

/** Walks over the chunks of a file. @returns null where all is there, else the track that is not, from 1; 0 for a file
 * that does not begin as one */
function damagedTrack(bytes: Uint8Array): number | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const nameAt = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 14 || nameAt(0) !== 'MThd') return 0;
  const tracks = view.getUint16(10);
  let at = 8 + view.getUint32(4);
  for (let track = 1; track <= tracks; track += 1) {
    if (at + 8 > bytes.length || nameAt(at) !== 'MTrk') return track;
    at += 8 + view.getUint32(at + 4);
    if (at > bytes.length) return track;
  }
  return tracks === 0 ? 1 : null;
}

/** The text of an event: its bytes are UTF-8, or letters of their own. */
function textIn(event: MidiEvent | undefined): string {
  const text = event && 'text' in event ? String(event.text) : '';
  try {
    const bytes = Uint8Array.from(text, (one) => one.charCodeAt(0));
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return text;
  }
}

function channelsOf(tracks: readonly (readonly Timed[])[]): readonly Channel[] {
  const found = new Map<string, Channel>();
  tracks.forEach((events, track) => {
    const name = textIn(events.find(({ event }) => event.type === 'trackName')?.event);
    const { limb, voice } = readTrackName(name);
    for (const { at, event } of events) {
      if (event.type !== 'noteOn' || !(event.velocity > 0)) continue;
      const isDrums = event.channel === DRUMS;
      const id = isDrums ? 'drums' : `${track} ${event.channel}`;
      const channel = found.get(id) ?? { name: limb ? '' : name, isDrums, notes: [] };
      channel.notes.push({ at, key: event.noteNumber, velocity: event.velocity, limb, voice });
      found.set(id, channel);
    }
  });
  return [...found.values()];
}

interface BarAt {
  readonly at: number;
  readonly meter: Meter;
  readonly begins: boolean;
  readonly says: string;
}

function meterOf(event: Extract<MidiEvent, { type: 'timeSignature' }>): Result<Meter> {
  return parseMeter(`${event.numerator}/${event.denominator}`);
}

/** Where the last bar ends, in quarters. */
function endOf(bars: readonly BarAt[]): number {
  const last = bars.at(-1);
  return last ? last.at + barTicks(last.meter) / TICKS_PER_QUARTER : 0;
}

/** Bars from the meters that are said, 4/4 before the first, up to an end in quarters; null for too many. */
function barsOf(all: readonly Timed[], end: number): readonly BarAt[] | null {
  const meters = all.flatMap(({ at, event }) => {
    if (event.type !== 'timeSignature') return [];
    const meter = meterOf(event);
    return meter.ok ? [{ at, meter: meter.value }] : [];
  });
  const markers = all.filter(({ event }) => event.type === 'marker');
  const found: BarAt[] = [];
  let at = 0;
  let meter: Meter = { count: 4, unit: 4, grouping: [4] };
  while (at < end || found.length === 0) {
    if (found.length >= MOST_BARS) return null;
    const here = meters.findLast((one) => one.at <= at + NEAR);
    const length = barTicks((meter = here?.meter ?? meter)) / TICKS_PER_QUARTER;
    const marker = markers.find((one) => one.at >= at - NEAR && one.at < at + length - NEAR);
    const says = textIn(marker?.event).slice(0, 80);
    found.push({ at, meter, begins: found.length === 0 || marker !== undefined, says });
    at += length;
  }
  return found;
}

/** Milliseconds a quarter note at a place; 120 a minute where nothing is said. */
function tempoAt(tempi: readonly Timed[]): Take['msAt'] {
  return (at) => {
    const { event } = tempi.findLast((one) => one.at <= at + NEAR) ?? tempi[0] ?? {};
    return event?.type === 'setTempo' ? event.microsecondsPerBeat / 1000 : 500;
  };
}

/** What does not come in, with its bar from 1: meters that are none or stand inside a bar, controllers, words. */
function droppedOf(all: readonly Timed[], bars: readonly BarAt[]): Take['dropped'] {
  return all.flatMap(({ at, event }) => {
    const bar = bars.findLastIndex((one) => one.at <= at + NEAR);
    const isInside = Math.abs((bars[bar]?.at ?? 0) - at) > NEAR;
    const why =
      event.type === 'timeSignature' && (isInside || !meterOf(event).ok)
        ? 'meter'
        : CONTROLS.has(event.type)
          ? 'controls'
          : TEXTS.has(event.type)
            ? 'texts'
            : null;
    return why ? [{ why, bar: bar + 1 } as const] : [];
  });
}

const CONTROLS: ReadonlySet<string> = new Set([
  'controller',
  'pitchBend',
  'noteAftertouch',
  'channelAftertouch',
]);

const TEXTS: ReadonlySet<string> = new Set(['text', 'lyrics', 'cuePoint']);

/** The voice that somebody said for its key, else that of its track, else that of its key. */
function drumOf({ key, voice }: Note, keys: KeyVoices) {
  return voice && !keys.has(key) ? { voice, exact: true } : voiceOfKey(key, keys);
}

function partOf(channel: Channel, part: number, take: Take): ScorePart {
  const { bars } = take;
  const left = new LeftOut();
  const inBars: ScoreStroke[][] = bars.map(() => []);
  for (const { note, bar, at } of take.placed) {
    if (note.part !== part) continue;
    const drum = channel.isDrums ? drumOf(note, take.keys) : null;
    const number = String(bar + 1);
    if (!channel.isDrums) left.add({ why: 'pitch' });
    else if (!drum) left.add({ why: 'key', key: note.key }, number);
    else if (!drum.exact) left.add({ why: 'nearest', key: note.key, voice: drum.voice }, number);
    if (note.graces > 0) left.add({ why: 'graces' }, number, note.graces);
    inBars[bar]?.push({
      ...{ at, voice: drum?.voice ?? null, limb: note.limb },
      ...{ dynamic: dynamicOf(note.velocity), ornament: note.ornament },
    });
  }
  for (const number of take.tempoBars) left.add({ why: 'tempo' }, String(number));
  for (const { why, bar } of take.dropped) left.add({ why }, String(bar));
  return {
    name: channel.name,
    isKit: channel.isDrums,
    bars: bars.map(({ meter, begins, says }, index): ScoreBar => ({
      ...{ number: String(index + 1), meter, begins, says, repeats: NO_REPEATS },
      ...{ strokes: inBars[index] ?? [], voices: new Map() },
    })),
    left: left.all(),
  };
}
