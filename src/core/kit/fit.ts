import { isHand, type Limb } from './limb';
import type { KitProfile } from './schema';
import { isPedal, voice, type VoiceId } from './voice';

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
  const wanted: readonly VoiceId[] = [...voice(id).nearest, 'pad', ...kit.voices];
  return wanted.find((one) => kit.voices.includes(one) && !isPedal(one)) ?? id;
}
