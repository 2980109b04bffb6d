import { type AddedBy, inTimeOrder, type Layer, type Stroke } from '../pattern';
import { tick, type Tick } from '../time';
import { addStrokes } from './add';
import type { StrokePlace, EditedStroke, HandEdit } from './edit-schema';

export interface Edited {
  readonly layers: readonly Layer[];
  /** Edits whose stroke is not there any more. */
  readonly stale: number;
}

/** Applies edits made by hand, at every repeat of the length they were made in.
 * @param layers all of one length  @param lengthTicks length that the edits were made in */
export function editStrokes(
  layers: readonly Layer[],
  edits: readonly HandEdit[],
  lengthTicks: Tick,
  by: AddedBy,
): Edited {
  const length = layers[0]?.lengthTicks ?? lengthTicks;
  const repeats = length % lengthTicks === 0 ? length / lengthTicks : 1;
  const changed = new Map<string, EditedStroke | null>();
  const added: Stroke[] = [];
  for (let pass = 0; pass < repeats; pass += 1) {
    const later = pass * lengthTicks;
    for (const { from, to } of edits) {
      const moved = to && { ...to, at: to.at + later };
      if (from) changed.set(key({ ...from, at: from.at + later }), moved);
      else if (moved && moved.at < length) added.push(strokeOf(moved));
    }
  }
  const found = new Set<string>();
  const edited = layers.map((layer): Layer => {
    const strokes = layer.strokes.flatMap((stroke): Stroke[] => {
      const change = changed.get(key(stroke));
      if (change === undefined) return [stroke];
      found.add(key(stroke));
      return change && change.at < length ? [editedOf(stroke, change)] : [];
    });
    return { ...layer, strokes: strokes.sort(inTimeOrder) };
  });
  return { layers: addStrokes(edited, by, added), stale: changed.size - found.size };
}

/** What stays in its place stays written as it was. */
function editedOf(stroke: Stroke, change: EditedStroke): Stroke {
  const { at, slot, swings, tail, from } = stroke;
  const edited = { ...strokeOf(change), from };
  if (change.at !== at) return edited;
  return { ...edited, ...(slot && { slot }), ...(swings && { swings }), ...(tail && { tail }) };
}

function strokeOf({ at, limb, voice, dynamic, ornament, texture }: EditedStroke): Stroke {
  const plain = { at: tick(at), limb, voice, dynamic, ...(texture ? { texture } : {}) } as const;
  const from = { source: 'added', by: 'hand' } as const;
  return ornament ? { ...plain, ornament, from } : { ...plain, from };
}

/** Adds an edit to those that were made before: edits of one stroke become one, and what undoes
 * itself goes.
 * @example added, then taken away // => no edit */
export function joinEdit(edits: readonly HandEdit[], edit: HandEdit): readonly HandEdit[] {
  const { from, to } = edit;
  const before = from && edits.find((one) => one.to && key(one.to) === key(from));
  if (!before) return [...edits, edit];
  const rest = edits.filter((one) => one !== before);
  if (before.from === null && to === null) return rest;
  return [...rest, { from: before.from, to }];
}

function key({ at, limb, voice }: StrokePlace): string {
  return `${at} ${limb} ${voice}`;
}
