import { parseMidi, type MidiData, type MidiEvent } from 'midi-file';
import { fail, ok, type Result } from '../../issue';
import { LIMBS, type Limb } from '../../kit';
import { barTicks, parseMeter, slotTicks, tick, TICKS_PER_QUARTER, type Meter } from '../../time';
import {
  LeftOut,
  likelyGrid,
  NO_REPEATS,
  putOn,
  voiceOfKey,
  type PlayedGrid,
  type Put,
  type Score,
  type ScoreBar,
  type ScorePart,
  type ScoreStroke,
} from '../score';
import { dynamicOf } from '../velocity';

const MOST_BYTES = 4_000_000;
const MOST_NOTES = 50_000;
const MOST_BARS = 2000;

/** Percussion of General MIDI Level 1 is on channel 10, which the file counts from 0. */
const DRUMS = 9;

/** A note of a file, and where it was put. */
export interface PlayedNote {
  readonly part: number;
  readonly bar: number;
  /** Slot of the bar, from 0. */
  readonly slot: number;
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
 * @param grid null takes the coarsest on which no note is doubtful
 * @returns issues `file-large`; `file-midi` with the track that is damaged, or `frames` for a file in frames a second;
 * `file-silent`; `file-long` over 2,000 bars or 50,000 notes */
export function readMidi(bytes: Uint8Array, grid: PlayedGrid | null): Result<Played> {
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
  const places = channels.flatMap(({ notes }) => notes.map(({ at }) => at));
  const chosen = grid ?? likelyGrid(places);
  // A note a little early for the bar after the last one makes that bar.
  const last = places.reduce((most, at) => Math.max(most, quarterOf(putOn(at, chosen), chosen)), 0);
  const bars = barsOf(all, Math.max(end, last + NEAR));
  if (!bars || count > MOST_NOTES) {
    return fail({ code: 'file-long', path: [], bars: MOST_BARS, notes: MOST_NOTES });
  }
  const tempi = all.filter(({ event }) => event.type === 'setTempo');
  const take: Take = {
    ...{ bars, grid: chosen, msAt: tempoAt(tempi), notes: [] },
    tempoBars: tempi.map(({ at }) => bars.findLastIndex((bar) => bar.at <= at + NEAR) + 1),
  };
  const parts = channels.map((channel, part) => partOf(channel, part, take));
  const [title] = all.filter(({ event }) => event.type === 'trackName');
  return ok({ score: { title: textIn(title?.event), parts }, grid: chosen, notes: take.notes });
}

/** Places of files are sums of fractions: these may be off by less, in quarters. */
const NEAR = 0.001;

function quarterOf({ slot }: Put, grid: PlayedGrid): number {
  return (slot * slotTicks(grid)) / TICKS_PER_QUARTER;
}

/** What all parts of a file are read with. */
interface Take {
  readonly bars: readonly BarAt[];
  readonly grid: PlayedGrid;
  /** Milliseconds a quarter note at a place. */
  readonly msAt: (at: number) => number;
  /** Bars in which a tempo is said, from 1. */
  readonly tempoBars: readonly number[];
  /** Filled part by part. */
  readonly notes: PlayedNote[];
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
    const limb = LIMBS.find((one) => one === name) ?? null;
    for (const { at, event } of events) {
      if (event.type !== 'noteOn' || !(event.velocity > 0)) continue;
      const isDrums = event.channel === DRUMS;
      const id = isDrums ? 'drums' : `${track} ${event.channel}`;
      const channel = found.get(id) ?? { name: limb ? '' : name, isDrums, notes: [] };
      channel.notes.push({ at, key: event.noteNumber, velocity: event.velocity, limb });
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

/** Bars from the meters that are said, 4/4 before the first; null for too many. */
function barsOf(all: readonly Timed[], end: number): readonly BarAt[] | null {
  const meters = all.flatMap(({ at, event }) => {
    if (event.type !== 'timeSignature') return [];
    const meter = parseMeter(`${event.numerator}/${event.denominator}`);
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

function partOf(channel: Channel, part: number, take: Take): ScorePart {
  const { bars, grid } = take;
  const left = new LeftOut();
  const width = slotTicks(grid);
  const inBars: ScoreStroke[][] = bars.map(() => []);
  let bar = 0;
  for (const note of [...channel.notes].sort((a, b) => a.at - b.at)) {
    const put = putOn(note.at, grid);
    const quarter = quarterOf(put, grid);
    while ((bars[bar + 1]?.at ?? Infinity) <= quarter + NEAR) bar += 1;
    // A note a little early belongs to the bar whose slot it was put on, so bars may only go on.
    const own = inBars[bar];
    const at = tick(Math.round((quarter - (bars[bar]?.at ?? 0)) * TICKS_PER_QUARTER));
    const offMs = Math.round(put.off * take.msAt(note.at));
    const slot = Math.round(at / width);
    take.notes.push({ part, bar: bar + 1, slot, key: note.key, offMs, doubtful: put.doubtful });
    const drum = channel.isDrums ? voiceOfKey(note.key) : null;
    const number = String(bar + 1);
    if (!channel.isDrums) left.add({ why: 'pitch' });
    else if (!drum) left.add({ why: 'key', key: note.key }, number);
    else if (!drum.exact) left.add({ why: 'nearest', key: note.key, voice: drum.voice }, number);
    own?.push({
      at,
      voice: drum?.voice ?? null,
      limb: note.limb,
      dynamic: dynamicOf(note.velocity),
      ornament: null,
    });
  }
  for (const number of take.tempoBars) left.add({ why: 'tempo' }, String(number));
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
