import type { VoiceId } from '../kit';
import type { Layer } from '../pattern';

/** Strokes of a cycle that are not played, because others take their place. */
export interface GaveWay {
  readonly voice: VoiceId;
  readonly count: number;
}

/** Which strokes are gone, by voice. @param before layers in the same order and of the same length */
export function gaveWay(before: readonly Layer[], after: readonly Layer[]): readonly GaveWay[] {
  const counts = new Map<VoiceId, number>();
  before.forEach((layer, nth) => {
    const now = after[nth];
    if (layer === now) return;
    const left = new Set(now?.strokes.map(({ at, limb, voice }) => `${at} ${limb} ${voice}`));
    for (const { at, limb, voice } of layer.strokes) {
      if (!left.has(`${at} ${limb} ${voice}`)) counts.set(voice, (counts.get(voice) ?? 0) + 1);
    }
  });
  return [...counts].map(([voice, count]) => ({ voice, count }));
}

/** The same of several, each voice once. */
export function allGaveWay(all: readonly (readonly GaveWay[])[]): readonly GaveWay[] {
  const counts = new Map<VoiceId, number>();
  for (const { voice, count } of all.flat()) counts.set(voice, (counts.get(voice) ?? 0) + count);
  return [...counts].map(([voice, count]) => ({ voice, count }));
}
