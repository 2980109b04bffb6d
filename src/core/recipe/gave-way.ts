import type { Limb, VoiceId } from '../kit';
import { anchorsOf } from '../materials';
import type { Layer } from '../pattern';
import type { Tick } from '../time';
import type { ClosedMember } from './schema';

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

/** A stroke of an anchor that something else has taken the limb of. */
export interface LostAnchor {
  readonly at: Tick;
  readonly limb: Limb;
  readonly voice: VoiceId;
}

/** Strokes of anchors that are gone where the phrase takes their limb, and that nothing else sounds.
 * @param before layers of the ostinatos, looped, lane by lane in the order of the recipe
 * @param after the same layers, settled  @param line what is played over them */
export function lostAnchors(
  over: ClosedMember['over'],
  {
    before,
    after,
    line,
  }: Readonly<Record<'before' | 'after', readonly Layer[]>> & { readonly line: Layer },
): readonly LostAnchor[] {
  const sounding = new Set(line.strokes.map(({ at, voice }) => `${at} ${voice}`));
  let first = 0;
  return over.flatMap(({ content }) => {
    const from = first;
    first += content.lanes.length;
    return anchorsOf(content).flatMap(({ lane, kind }) => {
      const [was, now] = [before[from + lane], after[from + lane]];
      if (!was || was === now) return [];
      const left = new Set(now?.strokes);
      return was.strokes.flatMap((stroke): LostAnchor[] => {
        const { at, limb, voice, dynamic } = stroke;
        const isAnchor = kind === 'pattern' || dynamic === 'accent';
        if (!isAnchor || left.has(stroke) || sounding.has(`${at} ${voice}`)) return [];
        return [{ at, limb, voice }];
      });
    });
  });
}
