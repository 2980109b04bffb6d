import { VOICE_IDS, type VoiceId } from '@/core/kit';
import { GRACE_APART_MS, gracesOf, type Dynamic } from '@/core/pattern';
import type { SoundEvent } from '@/core/playing';
import { clickSamples, voiceSamples } from './voices';

/** A clock that can sound. `now` is in seconds and never runs backwards. */
export interface Sounder {
  readonly audible: boolean;
  readonly now: () => number;
  /** Seconds by which what sounds now lags behind `now`. */
  readonly latency: () => number;
  readonly sound: (event: SoundEvent, at: number) => void;
  /** Takes back all that would sound after this instant. */
  readonly cancelAfter: (at: number) => void;
}

const LEVEL: Readonly<Record<Dynamic, number>> = { ghost: 0.22, tap: 0.4, normal: 0.7, accent: 1 };

const CLICK_GAIN = 0.6;

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

/** Headroom: all four limbs and a click together stay below full scale. */
const MASTER_GAIN = 0.35;

/** Plays through any audio context, also an offline one. */
export function sounderOf(context: BaseAudioContext): Sounder {
  const master = new GainNode(context, { gain: MASTER_GAIN });
  master.connect(context.destination);
  const buffers = new Map<string, AudioBuffer>();
  function buffer(key: string, make: () => Float32Array<ArrayBuffer>): AudioBuffer {
    let found = buffers.get(key);
    if (!found) {
      const samples = make();
      found = new AudioBuffer({ length: samples.length, sampleRate: context.sampleRate });
      found.copyToChannel(samples, 0);
      buffers.set(key, found);
    }
    return found;
  }
  const voice = (id: VoiceId) => buffer(id, () => voiceSamples(id, context.sampleRate));
  for (const id of VOICE_IDS) voice(id);
  let planned: { source: AudioBufferSourceNode; at: number }[] = [];
  function play(samples: AudioBuffer, level: number, at: number, playbackRate = 1): void {
    const source = new AudioBufferSourceNode(context, { buffer: samples, playbackRate });
    source.connect(new GainNode(context, { gain: level })).connect(master);
    source.start(at);
    planned = planned.filter((one) => one.at > context.currentTime);
    planned.push({ source, at });
  }
  return {
    audible: true,
    now: () => context.currentTime,
    latency: () => ('outputLatency' in context ? Number(context.outputLatency) || 0 : 0),
    sound(event, at) {
      if (event.kind === 'click') {
        const { level, sound } = event;
        const click = () => clickSamples(sound, CLICK_HZ[level], context.sampleRate);
        const gain = level === 'part' ? CLICK_GAIN * PART_GAIN : CLICK_GAIN;
        play(buffer(`${sound} ${level}`, click), gain, at);
        return;
      }
      const level = LEVEL[event.dynamic] * 10 ** (event.db / 20);
      const samples = voice(event.voice);
      play(samples, level, at, event.pitch);
      for (const { seconds, share } of around(event)) {
        play(samples, level * share, Math.max(0, at + seconds), event.pitch);
      }
    },
    cancelAfter(at) {
      for (const one of planned) if (one.at > at) one.source.stop();
      planned = planned.filter((one) => one.at <= at);
    },
  };
}

/** A clock without sound, for a browser that has none or does not allow it yet. */
function silentSounder(): Sounder {
  return {
    audible: false,
    now: () => performance.now() / 1000,
    latency: () => 0,
    sound: () => {},
    cancelAfter: () => {},
  };
}

let live: Promise<Sounder> | null = null;

/** How long a browser may take to start its sound after a touch. */
const START_MS = 1500;

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
  const waited = new Promise((done) => setTimeout(done, START_MS));
  await Promise.race([context.resume().catch(() => {}), waited]);
  if (context.state === 'running') return sounderOf(context);
  await context.close().catch(() => {});
  return silentSounder();
}
