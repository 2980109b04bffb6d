import type { VoiceId } from '@/core/kit';
import {
  faded,
  fromOnset,
  highPassed,
  levelled,
  lowPassed,
  mixed,
  pitched,
  type Samples,
} from './shape';
import { voiceSamples } from './voices';

/** Recorded drums, each a file under `public/sounds`. */
export const RECORDINGS = [
  'bass-soft',
  'bass-hard',
  'snare-soft',
  'snare-hard',
  'tom-high-soft',
  'tom-high-hard',
  'tom-mid-soft',
  'tom-mid-hard',
  'tom-floor-soft',
  'tom-floor-hard',
  'hat',
  'hat-open',
  'hat-foot',
  'crash-soft',
  'crash-hard',
  'cowbell',
] as const;

export type RecordingId = (typeof RECORDINGS)[number];

export type Recordings = Readonly<Record<RecordingId, Samples>>;

/** A voice struck softly and hard: they differ in colour, and are equally loud. */
export interface Layers {
  readonly soft: Samples;
  readonly hard: Samples;
}

/** Loudness of every voice, in dB of full scale over its first 80 ms; what differs by style is set by levels. */
export const VOICE_DB = -15;

/** Longest that a cymbal rings, in seconds. */
const LONGEST_RING = 2.5;

/** A voice in both layers, equally loud. @param recordings null makes all of them */
export function layersOf(id: VoiceId, recordings: Recordings | null, sampleRate: number): Layers {
  const layers = recordings ? recorded(id, recordings, sampleRate) : made(id, sampleRate);
  const finish = (samples: Samples) =>
    levelled(fromOnset(samples).slice(0, LONGEST_RING * sampleRate), VOICE_DB, sampleRate);
  return { soft: finish(layers.soft), hard: finish(layers.hard) };
}

/** Above this a soft stroke loses what a hard one has. Hz, an estimate. */
const SOFT_HZ = 3500;

function withSoft(hard: Samples, sampleRate: number, hz = SOFT_HZ): Layers {
  return { soft: lowPassed(hard, hz, sampleRate), hard };
}

function made(id: VoiceId, sampleRate: number): Layers {
  return withSoft(voiceSamples(id, sampleRate), sampleRate);
}

/** What was not recorded is shaped from what is nearest to it, or made. The figures are estimates, still to be judged
 * by ear. */
function recorded(id: VoiceId, from: Recordings, sampleRate: number): Layers {
  const both = (soft: RecordingId, hard: RecordingId): Layers => ({
    soft: from[soft],
    hard: from[hard],
  });
  const crash = both('crash-soft', 'crash-hard');
  const snare = both('snare-soft', 'snare-hard');
  switch (id) {
    case 'bass':
      return both('bass-soft', 'bass-hard');
    case 'snare':
      return snare;
    case 'tom-high':
      return both('tom-high-soft', 'tom-high-hard');
    case 'tom-mid':
      return both('tom-mid-soft', 'tom-mid-hard');
    case 'tom-floor':
      return both('tom-floor-soft', 'tom-floor-hard');
    case 'crash':
      return crash;
    case 'hat':
      return withSoft(from.hat, sampleRate, 6000);
    case 'hat-open':
      return withSoft(from['hat-open'], sampleRate, 6000);
    case 'hat-half':
      return withSoft(faded(from['hat-open'], 0.35, sampleRate), sampleRate, 6000);
    case 'hat-foot':
      return withSoft(from['hat-foot'], sampleRate, 6000);
    case 'aux-hat':
      return withSoft(pitched(from.hat, 1.18), sampleRate, 6000);
    case 'cowbell':
      return withSoft(from.cowbell, sampleRate, 2500);
    case 'aux-snare':
      return { soft: pitched(snare.soft, 1.35), hard: pitched(snare.hard, 1.35) };
    case 'rim-shot': {
      const rim = highPassed(pitched(from['tom-high-hard'], 2.4), 900, sampleRate);
      const hard = mixed(snare.hard, faded(rim, 0.15, sampleRate), 0.8);
      return { soft: mixed(snare.soft, faded(rim, 0.1, sampleRate), 0.4), hard };
    }
    case 'ride': {
      // The stick's ping over a low wash of the cymbal.
      const wash = highPassed(faded(crash.soft, 1.4, sampleRate), 1800, sampleRate);
      const ping = voiceSamples('ride', sampleRate);
      return withSoft(mixed(ping, wash, 0.35), sampleRate, 5000);
    }
    case 'ride-bell': {
      const wash = highPassed(faded(crash.soft, 1, sampleRate), 2500, sampleRate);
      return withSoft(mixed(voiceSamples('ride-bell', sampleRate), wash, 0.2), sampleRate, 5000);
    }
    case 'cross-stick': {
      const wood = faded(
        highPassed(pitched(from['tom-high-hard'], 2.8), 500, sampleRate),
        0.09,
        sampleRate,
      );
      return withSoft(mixed(wood, voiceSamples('cross-stick', sampleRate), 0.4), sampleRate);
    }
    case 'pad': {
      const thud = faded(lowPassed(snare.soft, 900, sampleRate), 0.09, sampleRate);
      return withSoft(mixed(thud, voiceSamples('pad', sampleRate), 0.25), sampleRate, 1500);
    }
  }
}
