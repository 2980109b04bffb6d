import type { VoiceId } from '@/core/kit';
import type { ClickSound } from '@/core/playing';

/** How a voice is made: a falling tone, noise, or both, each with its own decay. Our own synthesis,
 * so that nothing has to be loaded. Times in seconds, frequencies in Hz. */
interface Recipe {
  readonly tone?: {
    readonly from: number;
    readonly to: number;
    readonly fall: number;
    readonly decay: number;
    readonly level: number;
  };
  readonly metal?: { readonly decay: number; readonly level: number; readonly pitch: number };
  readonly noise?: { readonly decay: number; readonly level: number; readonly bright: number };
}

function drum(from: number, to: number, decay: number): Recipe {
  return {
    tone: { from, to, fall: 0.04, decay, level: 0.9 },
    noise: { decay: 0.02, level: 0.2, bright: 0.5 },
  };
}

const HAT: Recipe = {
  metal: { decay: 0.05, level: 0.35, pitch: 1 },
  noise: { decay: 0.045, level: 0.4, bright: 0.95 },
};
const SNARE: Recipe = {
  tone: { from: 240, to: 180, fall: 0.02, decay: 0.09, level: 0.5 },
  noise: { decay: 0.13, level: 0.55, bright: 0.6 },
};
const WOOD: Recipe = {
  tone: { from: 900, to: 820, fall: 0.01, decay: 0.03, level: 0.6 },
  noise: { decay: 0.012, level: 0.3, bright: 0.8 },
};

const RECIPES: Readonly<Record<VoiceId, Recipe>> = {
  crash: {
    metal: { decay: 1.1, level: 0.4, pitch: 0.8 },
    noise: { decay: 0.8, level: 0.35, bright: 0.85 },
  },
  'hat-open': {
    metal: { decay: 0.45, level: 0.35, pitch: 1 },
    noise: { decay: 0.4, level: 0.35, bright: 0.95 },
  },
  'hat-half': {
    metal: { decay: 0.2, level: 0.35, pitch: 1 },
    noise: { decay: 0.18, level: 0.35, bright: 0.95 },
  },
  hat: HAT,
  'aux-hat': {
    metal: { decay: 0.05, level: 0.35, pitch: 1.25 },
    noise: { decay: 0.04, level: 0.35, bright: 0.95 },
  },
  ride: {
    metal: { decay: 0.5, level: 0.4, pitch: 0.7 },
    noise: { decay: 0.06, level: 0.2, bright: 0.9 },
  },
  'ride-bell': {
    tone: { from: 830, to: 825, fall: 0.01, decay: 0.4, level: 0.35 },
    metal: { decay: 0.5, level: 0.3, pitch: 0.9 },
  },
  cowbell: {
    tone: { from: 560, to: 555, fall: 0.01, decay: 0.16, level: 0.6 },
    metal: { decay: 0.12, level: 0.2, pitch: 0.6 },
  },
  'tom-high': drum(260, 190, 0.2),
  'tom-mid': drum(200, 140, 0.25),
  snare: SNARE,
  'cross-stick': WOOD,
  'rim-shot': { ...SNARE, metal: { decay: 0.05, level: 0.3, pitch: 0.8 } },
  'aux-snare': { ...SNARE, tone: { from: 330, to: 260, fall: 0.02, decay: 0.07, level: 0.5 } },
  pad: WOOD,
  'tom-floor': drum(140, 90, 0.32),
  bass: drum(130, 50, 0.22),
  'hat-foot': {
    metal: { decay: 0.03, level: 0.25, pitch: 1.1 },
    noise: { decay: 0.03, level: 0.4, bright: 0.8 },
  },
};

const ATTACK = 0.0008;

/** Inharmonic partials of a cymbal, in Hz; chosen by ear. */
const PARTIALS = [3170, 4210, 5430, 6790, 8210, 10_300];

/** The samples of one voice: mono, peak below 1, silent at the end.
 * @param sampleRate in Hz */
export function voiceSamples(id: VoiceId, sampleRate: number): Float32Array<ArrayBuffer> {
  const recipe = RECIPES[id];
  const decay = Math.max(
    recipe.tone?.decay ?? 0,
    recipe.metal?.decay ?? 0,
    recipe.noise?.decay ?? 0,
  );
  const samples = new Float32Array(Math.ceil(sampleRate * decay * 5));
  const noise = whiteNoise();
  let phase = 0;
  let held = 0;
  for (let n = 0; n < samples.length; n += 1) {
    const t = n / sampleRate;
    let value = 0;
    if (recipe.tone) {
      const { from, to, fall, decay: fade, level } = recipe.tone;
      phase += (2 * Math.PI * (to + (from - to) * Math.exp(-t / fall))) / sampleRate;
      value += Math.sin(phase) * level * Math.exp(-t / fade);
    }
    if (recipe.metal) {
      const { decay: fade, level, pitch } = recipe.metal;
      const sum = PARTIALS.reduce((all, hz) => all + Math.sin(2 * Math.PI * hz * pitch * t), 0);
      value += (sum / PARTIALS.length) * level * Math.exp(-t / fade);
    }
    if (recipe.noise) {
      const { decay: fade, level, bright } = recipe.noise;
      const white = noise();
      const high = white - held;
      held = white * (1 - bright) + held * bright;
      value += high * level * Math.exp(-t / fade);
    }
    samples[n] = value * Math.min(1, t / ATTACK) * 0.8;
  }
  return samples;
}

/** How each click is made: its pitch as a factor, an overtone above it, noise, and how fast it fades.
 * Ours, estimates. */
const CLICKS: Readonly<
  Record<ClickSound, { pitch: number; overtone: number; noise: number; decay: number }>
> = {
  beep: { pitch: 1, overtone: 0, noise: 0, decay: 0.008 },
  wood: { pitch: 0.62, overtone: 2.7, noise: 0.15, decay: 0.012 },
  stick: { pitch: 2.1, overtone: 1.6, noise: 0.7, decay: 0.004 },
  low: { pitch: 0.22, overtone: 0, noise: 0.05, decay: 0.03 },
  clave: { pitch: 1.5, overtone: 2.02, noise: 0.05, decay: 0.022 },
  cowbell: { pitch: 0.34, overtone: 1.48, noise: 0.1, decay: 0.06 },
  shaker: { pitch: 3.1, overtone: 1.3, noise: 6, decay: 0.02 },
};

/** A click, the higher the more it matters. It begins at full level, so that its place can be told.
 * @param hz its pitch */
export function clickSamples(
  sound: ClickSound,
  hz: number,
  sampleRate: number,
): Float32Array<ArrayBuffer> {
  const { pitch, overtone, noise, decay } = CLICKS[sound];
  const samples = new Float32Array(Math.ceil(sampleRate * 5 * decay));
  const white = whiteNoise();
  const turn = (2 * Math.PI * hz * pitch) / sampleRate;
  const parts = 1 + (overtone > 0 ? 0.5 : 0) + noise;
  for (let n = 0; n < samples.length; n += 1) {
    const tone = Math.cos(turn * n) + (overtone > 0 ? 0.5 * Math.cos(turn * overtone * n) : 0);
    const value = (tone + noise * white()) / parts;
    samples[n] = value * Math.exp(-n / sampleRate / decay) * 0.7;
  }
  return samples;
}

/** Always the same noise, from -1 to 1. */
function whiteNoise(): () => number {
  let state = 22_222;
  return () => {
    state = (state * 196_314_165 + 907_633_515) >>> 0;
    return state / 2 ** 31 - 1;
  };
}
