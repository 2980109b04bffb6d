import { VOICE_IDS, type VoiceId } from '@/core/kit';
import { GRACE_APART_MS, gracesOf, type Dynamic } from '@/core/pattern';
import type { SoundEvent } from '@/core/playing';
import { soundDelayMs } from './delay';
import { layersOf, type Layers, type Recordings } from './drums';
import { loadRecordings } from './recordings';
import { clickSamples } from './voices';

/** A clock that can sound. `now` is in seconds and never runs backwards. */
export interface Sounder {
  readonly audible: boolean;
  /** Whether the drums are recorded ones. */
  readonly recorded: boolean;
  readonly now: () => number;
  /** Seconds by which what sounds now lags behind `now`. */
  readonly latency: () => number;
  readonly sound: (event: SoundEvent, at: number) => void;
  /** Takes back all that would sound after this instant. */
  readonly cancelAfter: (at: number) => void;
}

/** 6 dB from each to the next, 18 from a ghost to an accent; common practice, no source. */
const LEVEL: Readonly<Record<Dynamic, number>> = {
  ghost: 0.125,
  tap: 0.25,
  normal: 0.5,
  accent: 1,
};

const LAYER = { ghost: 'soft', tap: 'soft', normal: 'hard', accent: 'hard' } as const;

/** No two strokes of a drum are alike: speed and level of one after the other. */
const TURNS = [
  { rate: 1, gain: 1 },
  { rate: 1.004, gain: 0.96 },
  { rate: 0.996, gain: 1.03 },
  { rate: 1.007, gain: 0.98 },
] as const;

/** What lets the open hi-hat ring no longer. */
const CHOKES: ReadonlySet<VoiceId> = new Set(['hat', 'hat-half', 'hat-open', 'hat-foot']);

/** Seconds in which it goes silent. */
const CHOKE_SECONDS = 0.012;

const CLICK_GAIN = 0.5;

type StrokeEvent = Extract<SoundEvent, { kind: 'stroke' }>;

interface Bounce {
  /** From the main stroke; before it is negative. */
  readonly seconds: number;
  /** Of the main stroke's level. */
  readonly share: number;
}

/** Grace notes and bounces around a stroke; common practice, no source. The other strokes of diddles and
 * rolls are strokes of their own in the score. */
function around({
  ornament,
  limb,
  graceMs = GRACE_APART_MS,
}: Pick<StrokeEvent, 'ornament' | 'limb' | 'graceMs'>): readonly Bounce[] {
  if (ornament === null) return [];
  if (ornament === 'buzz') return BUZZ;
  return gracesOf({ ornament, limb }).map((_, index) => ({
    seconds: (-graceMs / 1000) * (index + 1),
    share: 0.35,
  }));
}

function bounces(count: number, apart: number, decay: number): readonly Bounce[] {
  return Array.from({ length: count }, (_, index) => ({
    seconds: apart * (index + 1),
    share: decay ** (index + 1),
  }));
}

const BUZZ = bounces(7, 0.022, 0.7);

/** Pitch of the click by what it marks, in Hz. */
const CLICK_HZ = { bar: 1760, group: 1320, beat: 990, part: 660 } as const;

/** What lies between the beats steps back. */
const PART_GAIN = 0.45;

/** Loud enough alone; what four limbs and a click come to together is rounded off under full scale. */
const MASTER_GAIN = 0.5;

/** Plays through any audio context, also an offline one.
 * @param recordings the recorded drums; null makes them
 * @param clickTo where the click goes, where that is apart from the drums */
export function sounderOf(
  context: BaseAudioContext,
  recordings: Recordings | null = null,
  clickTo?: AudioNode,
): Sounder & { readonly drums: AudioNode } {
  const master = new GainNode(context, { gain: MASTER_GAIN });
  const rounded = new WaveShaperNode(context, { curve: ROUNDED });
  master.connect(rounded);
  if (!clickTo) rounded.connect(context.destination);
  const clicks = new GainNode(context, { gain: MASTER_GAIN });
  clicks.connect(clickTo ?? rounded);
  const buffers = new Map<string, AudioBuffer>();
  function bufferOf(key: string, samples: Float32Array<ArrayBuffer>): AudioBuffer {
    const made = new AudioBuffer({ length: samples.length, sampleRate: context.sampleRate });
    made.copyToChannel(samples, 0);
    buffers.set(key, made);
    return made;
  }
  function voice(id: VoiceId, layer: keyof Layers): AudioBuffer {
    const known = buffers.get(`${id} ${layer}`);
    if (known) return known;
    const { soft, hard } = layersOf(id, recordings, context.sampleRate);
    const both = { soft: bufferOf(`${id} soft`, soft), hard: bufferOf(`${id} hard`, hard) };
    return both[layer];
  }
  for (const id of VOICE_IDS) voice(id, 'hard');
  const turns = new Map<VoiceId, number>();
  let planned: { source: AudioBufferSourceNode; at: number }[] = [];
  let ringing: { gain: GainNode; at: number } | null = null;
  let chokes: { gain: GainNode; rang: number; at: number }[] = [];
  function play(
    samples: AudioBuffer,
    level: number,
    at: number,
    to: AudioNode,
    rate = 1,
  ): GainNode {
    const source = new AudioBufferSourceNode(context, { buffer: samples, playbackRate: rate });
    const gain = new GainNode(context, { gain: level });
    source.connect(gain).connect(to);
    source.start(at);
    planned = planned.filter((one) => one.at > context.currentTime);
    planned.push({ source, at });
    return gain;
  }
  function stroke(event: StrokeEvent, at: number): void {
    const { voice: id, dynamic, db, pitch } = event;
    const turn = turns.get(id) ?? 0;
    turns.set(id, turn + 1);
    const { rate, gain } = TURNS[turn % TURNS.length] ?? TURNS[0];
    if (CHOKES.has(id) && ringing && at > ringing.at) {
      ringing.gain.gain.setTargetAtTime(0, at, CHOKE_SECONDS / 3);
      chokes = chokes.filter((one) => one.at > context.currentTime);
      chokes.push({ gain: ringing.gain, rang: ringing.at, at });
      ringing = null;
    }
    const level = LEVEL[dynamic] * gain * 10 ** (db / 20);
    const sounding = play(voice(id, LAYER[dynamic]), level, at, master, pitch * rate);
    if (id === 'hat-open') ringing = { gain: sounding, at };
    for (const { seconds, share } of around(event)) {
      play(voice(id, 'soft'), level * share, Math.max(0, at + seconds), master, pitch);
    }
  }
  return {
    audible: true,
    recorded: recordings !== null,
    drums: rounded,
    now: () => context.currentTime,
    latency: () =>
      ('outputLatency' in context ? Number(context.outputLatency) || 0 : 0) + soundDelayMs() / 1000,
    sound(event, at) {
      if (event.kind === 'stroke') return stroke(event, at);
      const { level, sound } = event;
      const key = `${sound} ${level}`;
      const samples = () => clickSamples(sound, CLICK_HZ[level], context.sampleRate);
      const gain = level === 'part' ? CLICK_GAIN * PART_GAIN : CLICK_GAIN;
      play(buffers.get(key) ?? bufferOf(key, samples()), gain, at, clicks);
    },
    cancelAfter(at) {
      for (const one of planned) if (one.at > at) one.source.stop();
      planned = planned.filter((one) => one.at <= at);
      // What would have choked an open hi-hat is not played: it rings on, until something does.
      if (ringing && ringing.at > at) ringing = null;
      for (const one of chokes.filter((choke) => choke.at > at)) {
        one.gain.gain.cancelScheduledValues(at);
        if (one.rang <= at) ringing = { gain: one.gain, at: one.rang };
      }
      chokes = chokes.filter((one) => one.at <= at);
    },
  };
}

/** As it is up to here, and from here on bent so that it never reaches full scale. */
const STRAIGHT = 0.7;

/** The bend, for what comes in from -1 to 1. A curve ends there: more than that is held at its end. */
const ROUNDED = Float32Array.from({ length: 4001 }, (_, n) => {
  const value = n / 2000 - 1;
  const over = Math.abs(value) - STRAIGHT;
  if (over <= 0) return value;
  const room = 0.98 - STRAIGHT;
  return Math.sign(value) * (STRAIGHT + room * Math.tanh(over / room));
});

/** A clock without sound, for a browser that has none or does not allow it yet. */
function silentSounder(): Sounder {
  return {
    audible: false,
    recorded: false,
    now: () => performance.now() / 1000,
    latency: () => soundDelayMs() / 1000,
    sound: () => {},
    cancelAfter: () => {},
  };
}

let live: Promise<Sounder> | null = null;

/** How long a browser may take to start its sound after a touch. */
const START_MS = 1500;

/** How long recorded drums may take to be decoded after a touch; they were fetched before. */
const LOAD_MS = 4000;

function wait(ms: number): Promise<undefined> {
  return new Promise((done) => setTimeout(() => done(undefined), ms));
}

/** The app's one sounder. Call it from a touch or a key, or the browser keeps it silent; a silent
 * answer is tried anew the next time. */
export function openSounder(): Promise<Sounder> {
  live ??= start().then((sounder) => {
    if (!sounder.audible) live = null;
    return sounder;
  });
  return live;
}

async function start(): Promise<Sounder> {
  if (typeof AudioContext === 'undefined') return silentSounder();
  const context = new AudioContext({ latencyHint: 'interactive' });
  await Promise.race([context.resume().catch(() => {}), wait(START_MS)]);
  if (context.state === 'running') {
    const recordings = await Promise.race([loadRecordings(context), wait(LOAD_MS)]);
    return sounderOf(context, recordings ?? null);
  }
  await context.close().catch(() => {});
  return silentSounder();
}
