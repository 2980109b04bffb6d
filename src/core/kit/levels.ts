import type { VoiceId } from './voice';

/** How loud the voices are against each other. Common practice, no source: in jazz the ride is
 * over the snare over a feathered bass drum, in rock the reverse; stamina work is full strokes. */
export const STYLES = ['jazz', 'rock', 'full'] as const;
export type Style = (typeof STYLES)[number];

/** Voices of each style from the loudest down, with their level in decibels. */
const LEVELS: Readonly<Record<Style, readonly (readonly [readonly VoiceId[], number])[]>> = {
  jazz: [
    [['ride', 'ride-bell', 'crash', 'hat', 'hat-open', 'hat-half'], 0],
    [['hat-foot'], -3],
    [['snare', 'cross-stick', 'rim-shot', 'tom-high', 'tom-mid', 'tom-floor'], -6],
    [['bass'], -14],
  ],
  rock: [
    [['bass'], 0],
    [['snare', 'rim-shot', 'crash'], 0],
    [['tom-high', 'tom-mid', 'tom-floor', 'cross-stick'], -3],
    [['ride', 'ride-bell', 'hat', 'hat-open', 'hat-half', 'hat-foot'], -8],
  ],
  full: [],
};

/** A voice's level in a style, in decibels; 0 is full. @example levelDb('jazz', 'bass') // => -14 */
export function levelDb(style: Style, id: VoiceId): number {
  return LEVELS[style].find(([voices]) => voices.includes(id))?.[1] ?? 0;
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
