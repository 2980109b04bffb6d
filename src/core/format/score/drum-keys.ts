import { VOICES, type VoiceId } from '../../kit';

/** Keys of the General MIDI Level 1 percussion map that have no voice of their own here, by the nearest one. */
const NEAREST: Readonly<Record<number, VoiceId>> = {
  35: 'bass',
  41: 'tom-floor',
  45: 'tom-mid',
  48: 'tom-mid',
  52: 'crash',
  55: 'crash',
  57: 'crash',
  59: 'ride',
};

/** Voices of keys, where somebody said them; null leaves the key out. */
export type KeyVoices = ReadonlyMap<number, VoiceId | null>;

/** The voice that a key of the percussion map sounds; where several share one, the first from the top of the staff.
 * @param said comes before it
 * @returns `exact` false for the nearest of ours, null for what is no drum of ours
 * @example voiceOfKey(35) // => { voice: 'bass', exact: false } */
export function voiceOfKey(
  key: number,
  said: KeyVoices = new Map(),
): { readonly voice: VoiceId; readonly exact: boolean } | null {
  const chosen = said.get(key);
  if (chosen !== undefined) return chosen && { voice: chosen, exact: true };
  const own = VOICES.find(({ midi }) => midi === key);
  if (own) return { voice: own.id, exact: true };
  const near = NEAREST[key];
  return near ? { voice: near, exact: false } : null;
}
