import type { Limb, VoiceId } from '../kit';
import { inTimeOrder, loopLayer, type Dynamic, type Layer, type Stroke } from '../pattern';
import { barTicks, beats, gcd, tick, type Meter } from '../time';
import { addStrokes } from './add';

export interface EveryNth {
  /** Whose notes are counted: a limb, or one of its voices alone. */
  readonly of: { readonly limb: Limb; readonly voice: VoiceId | null };
  /** Every so many notes, >= 1. */
  readonly nth: number;
  /** Counted from this note on, from 1. */
  readonly first: number;
  readonly to: { readonly limb: Limb; readonly voice: VoiceId };
  readonly dynamic: Dynamic;
}

/** Adds a stroke on every nth note of a limb. Counting begins anew where the counted limb changes
 * its subdivision. Where the count does not come out even in the cycle, the cycle is repeated until
 * it does.
 * @param layers all of one length, whole bars
 * @example bass drum on every 2nd of right-hand 8ths, from the 1st // => slots 0 2 4 6 of 8 */
export function everyNth(layers: readonly Layer[], rule: EveryNth, meter: Meter, name: string) {
  const { nth, first } = rule;
  const counted = notesOf(layers, rule);
  const restarts = restartsOf(counted, layers[0]?.lengthTicks ?? 0, meter);
  const passes = restarts.size > 0 ? 1 : nth / gcd(Math.max(1, counted.length), nth);
  const whole = layers.map((layer) => loopLayer(layer, tick(layer.lengthTicks * passes)));
  let number = 0;
  const added = notesOf(whole, rule).flatMap((note): Stroke[] => {
    number = restarts.has(note.at) ? 1 : number + 1;
    if ((number - first) % nth !== 0 || number < first) return [];
    const { to, dynamic } = rule;
    return [{ at: note.at, ...to, dynamic, from: { source: 'added', by: 'every-nth' } }];
  });
  return addStrokes(whole, name, added);
}

function notesOf(layers: readonly Layer[], { of }: EveryNth): readonly Stroke[] {
  const mine = layers.flatMap((layer) =>
    layer.strokes.filter(
      (stroke) => stroke.limb === of.limb && (of.voice === null || stroke.voice === of.voice),
    ),
  );
  return [...new Map(mine.map((stroke) => [stroke.at, stroke])).values()].sort(inTimeOrder);
}

/** Notes on which counting begins anew: the first of each beat whose grid is another than that of
 * the beat before. A beat of one note, or none, goes on in the grid it is in; where anything
 * begins anew, the cycle's first note does too. */
function restartsOf(
  notes: readonly Stroke[],
  lengthTicks: number,
  meter: Meter,
): ReadonlySet<number> {
  const found = new Set<number>();
  const bar = beats(meter);
  let grid: number | null = null;
  for (let start = 0; start < lengthTicks; start += barTicks(meter)) {
    for (const beat of bar) {
      const from = start + beat.at;
      const inBeat = notes.filter(({ at }) => at >= from && at < from + beat.ticks);
      const [head] = inBeat;
      if (!head || inBeat.length < 2) continue;
      const now = inBeat.reduce<number>((sum, { at }) => gcd(sum, at - from), beat.ticks);
      if (grid !== null && now !== grid) found.add(head.at);
      grid = now;
    }
  }
  const [opening] = notes;
  if (found.size > 0 && opening) found.add(opening.at);
  return found;
}
