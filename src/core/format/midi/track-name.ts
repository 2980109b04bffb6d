import { LIMBS, voice, VOICE_IDS, type Limb, type VoiceId } from '../../kit';
import { voiceOfKey } from '../score';

/** What a track of ours is called: its limb, with the voice where another one has its key.
 * @example trackName('LH', 'pad') // => 'LH (pad)' */
export function trackName(limb: Limb, id: VoiceId): string {
  return voiceOfKey(voice(id).midi)?.voice === id ? limb : `${limb} (${id})`;
}

/** The limb and the voice that a track is called after; nulls where it is called otherwise. */
export function readTrackName(name: string): {
  readonly limb: Limb | null;
  readonly voice: VoiceId | null;
} {
  const [, hand, sounds] = /^(\w\w)(?: \(([\w-]+)\))?$/.exec(name) ?? [];
  return {
    limb: LIMBS.find((one) => one === hand) ?? null,
    voice: VOICE_IDS.find((one) => one === sounds) ?? null,
  };
}
