import { type AddedBy, inTimeOrder, type Layer, loopLayer, type Stroke } from '../pattern';
import { gcd, isBinarySlot, tick } from '../time';
import { addStrokes } from './add';
import type { EveryNth } from './every-nth-schema';

/** Adds a stroke on every nth note of a limb. Counting begins anew where the counted limb changes its
 * subdivision, not where its notes are sparse, and has come round where it begins on a later note: every 2nd
 * from the 3rd is every 2nd from the 1st. Where the count does not come out even in the cycle, the
 * cycle is repeated until it does.
 * @param layers all of one length, whole bars
 * @example bass drum on every 2nd of right-hand 8ths, from the 1st // => slots 0 2 4 6 of 8
 * @example every 3rd of `xx-xx-x-xx-xx-x-` // => 0 4 9 14, in a cycle of 3 bars */
export function everyNth(layers: readonly Layer[], rule: EveryNth, by: AddedBy) {
  const { nth, first } = rule;
  const counted = notesOf(layers, rule);
  const restarts = restartsOf(counted);
  const passes = restarts.size > 0 ? 1 : nth / gcd(Math.max(1, counted.length), nth);
  const whole = layers.map((layer) => loopLayer(layer, tick(layer.lengthTicks * passes)));
  let number = 0;
  const added = notesOf(whole, rule).flatMap(({ at, slot, swings }): Stroke[] => {
    number = restarts.has(at) ? 1 : number + 1;
    if ((number - first) % nth !== 0) return [];
    const { to, dynamic } = rule;
    const written = { at, ...(slot && { slot }), ...(swings && { swings }) };
    return [{ ...written, ...to, dynamic, from: { source: 'added', by: 'every-nth' } }];
  });
  return addStrokes(whole, by, added);
}

/** A counted note, with the layer that it stands in. */
type Counted = Stroke & { readonly layer: number };

function notesOf(layers: readonly Layer[], { of }: EveryNth): readonly Counted[] {
  const mine = layers.flatMap((one, layer) =>
    one.strokes
      .filter(({ limb, voice }) => limb === of.limb && (of.voice === null || voice === of.voice))
      .map((stroke): Counted => ({ ...stroke, layer })),
  );
  return [...new Map(mine.map((stroke) => [stroke.at, stroke])).values()].sort(inTimeOrder);
}

/** Notes on which counting begins anew: the first in another subdivision than the note before, over the
 * seam too; where anything begins anew, the cycle's first note does. A note put in by hand goes on in
 * the subdivision that it is in; quarters of one part among 8ths of another are no other subdivision. */
function restartsOf(notes: readonly Counted[]): ReadonlySet<number> {
  const found = new Set<number>();
  let before = notes.findLast(({ slot }) => slot !== undefined);
  for (const note of notes) {
    if (note.slot === undefined) continue;
    if (before && changesSubdivision(before, note)) found.add(note.at);
    before = note;
  }
  const [opening] = notes;
  if (found.size > 0 && opening) found.add(opening.at);
  return found;
}

function changesSubdivision(before: Counted, note: Counted): boolean {
  if (before.slot === note.slot) return false;
  const halves = isBinarySlot(before.slot ?? 1) && isBinarySlot(note.slot ?? 1);
  return before.layer === note.layer || !halves;
}
