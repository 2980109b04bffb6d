import type { Limb } from '../kit';
import type { Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import type { Tick } from '../time';

/** All strokes that sound together. */
export interface Instant {
  readonly at: Tick;
  readonly strokes: readonly Stroke[];
}

/** The exercise as a chain of instants over one cycle, in order. */
export function instantsOf(exercise: Exercise): readonly Instant[] {
  const found: { at: Tick; strokes: Stroke[] }[] = [];
  for (const stroke of exercise.strokes) {
    const last = found.at(-1);
    if (last?.at === stroke.at) last.strokes.push(stroke);
    else found.push({ at: stroke.at, strokes: [stroke] });
  }
  return found;
}

export function limbsOf(instant: Instant): readonly Limb[] {
  return [...new Set(instant.strokes.map((stroke) => stroke.limb))];
}
