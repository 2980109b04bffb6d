import { isHand, type Limb } from './limb';
import type { KitProfile } from './schema';
import type { VoiceId } from './voice';

/** What takes the place of a voice that a kit lacks, the nearest in sound first. Common practice,
 * no source. Whatever else is missing goes to the pad, then to whatever there is. */
const NEAREST: Readonly<Partial<Record<VoiceId, readonly VoiceId[]>>> = {
  crash: ['ride', 'hat-open', 'hat'],
  ride: ['hat', 'aux-hat', 'crash', 'cowbell'],
  'ride-bell': ['ride', 'cowbell', 'hat'],
  cowbell: ['ride-bell', 'ride', 'cross-stick', 'hat'],
  hat: ['aux-hat', 'ride', 'crash'],
  'hat-open': ['hat-half', 'hat', 'crash', 'ride'],
  'hat-half': ['hat-open', 'hat', 'ride'],
  'aux-hat': ['hat', 'ride'],
  'tom-high': ['tom-mid', 'tom-floor', 'snare'],
  'tom-mid': ['tom-high', 'tom-floor', 'snare'],
  'tom-floor': ['tom-mid', 'tom-high', 'snare'],
  snare: ['aux-snare', 'pad', 'tom-high'],
  'cross-stick': ['rim-shot', 'snare'],
  'rim-shot': ['snare', 'cross-stick'],
  'aux-snare': ['snare', 'tom-high'],
  pad: ['snare'],
};

/** A voice that the kit lacks, and what is played instead; null is a foot that taps the floor. */
export interface Replaced {
  readonly voice: VoiceId;
  readonly by: VoiceId | null;
}

/** What a limb plays in place of a voice, on this kit. Feet keep their part: without the pedal they
 * tap the floor.
 * @returns the voice itself where the kit has it, or has nothing that could replace it */
export function fitVoice(id: VoiceId, limb: Limb, kit: Pick<KitProfile, 'voices'>): VoiceId {
  if (kit.voices.includes(id) || !isHand(limb)) return id;
  const wanted = [...(NEAREST[id] ?? []), 'pad' as const, ...kit.voices];
  return wanted.find((one) => kit.voices.includes(one) && !isPedal(one)) ?? id;
}

function isPedal(id: VoiceId): boolean {
  return id === 'bass' || id === 'hat-foot';
}
