import type { STYLES } from './data';
import { voice, type VoiceId } from './voice';

export type Style = (typeof STYLES)[number];

/** A voice's level in a style, in decibels; 0 is full. @example levelDb('jazz', 'bass') // => -14 */
export function levelDb(style: Style, id: VoiceId): number {
  return style === 'full' ? 0 : voice(id).levels[style];
}

/** The voices that sound, grouped from the loudest to the softest. */
export function loudestFirst(
  style: Style,
  voices: readonly VoiceId[],
): readonly { readonly db: number; readonly voices: readonly VoiceId[] }[] {
  const groups = new Map<number, VoiceId[]>();
  for (const id of voices) {
    const db = levelDb(style, id);
    groups.set(db, [...(groups.get(db) ?? []), id]);
  }
  return [...groups].sort(([a], [b]) => b - a).map(([db, ids]) => ({ db, voices: ids }));
}
