import { LIMBS, staffOrder, type Limb, type VoiceId } from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Exercise } from '@/core/recipe';
import { sayLimb, sayVoice, type Say } from '@/words';

/** What a row stands for: a voice, or a limb. */
export type RowKind = 'voices' | 'limbs';

export interface Row {
  readonly key: VoiceId | Limb;
}

/** Heights at scale 1, in pixels: the counts on top, a row, the space below. */
export const HEAD = 30;
export const ROW = 30;
export const FOOT = 6;

export function rowKey(stroke: Stroke, kind: RowKind): Row['key'] {
  return kind === 'voices' ? stroke.voice : stroke.limb;
}

/** Rows from the top of the staff down; in limbs, right hand first.
 * @param extra voices that have a row although nothing sounds on them */
export function rowsOf(
  exercise: Exercise,
  kind: RowKind,
  extra: readonly VoiceId[],
): readonly Row[] {
  const used = new Set(exercise.strokes.map((stroke) => rowKey(stroke, kind)));
  if (kind === 'limbs') {
    return LIMBS.filter((limb) => used.has(limb) || extra.length > 0).map((key) => ({ key }));
  }
  return [...new Set([...(used as Set<VoiceId>), ...extra])]
    .sort((a, b) => staffOrder(a) - staffOrder(b))
    .map((key) => ({ key }));
}

/** A row by its limb, or by its voice; a pedal that the kit lacks is the foot itself. */
export function sayRow(
  say: Say,
  key: Row['key'],
  { kit, strokes }: Pick<Exercise, 'kit' | 'strokes'>,
): string {
  const limb = LIMBS.find((one) => one === key);
  if (limb) return sayLimb(say, limb);
  const voice = key as VoiceId;
  const foot = kit.voices.includes(voice) ? null : strokes.find((one) => one.voice === voice);
  return foot ? say.t('kit.floor', { limb: sayLimb(say, foot.limb) }) : sayVoice(say, voice);
}
