import type { Limb } from '../kit';
import { type AddedBy, gracesOf, type Layer, type Stroke } from '../pattern';
import { swingOfSlot, tick, wrap, type Tick } from '../time';
import { addStrokes } from './add';

/** What these limbs play, the others silent. */
export function onlyLimbs(layers: readonly Layer[], limbs: readonly Limb[]): readonly Layer[] {
  return layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes.filter(({ limb }) => limbs.includes(limb)),
  }));
}

/** A stretch of the cycle, the rest silent. @param from ticks from the cycle’s start */
export function excerpt(layers: readonly Layer[], from: Tick, length: Tick): readonly Layer[] {
  return layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes.filter(({ at }) => wrap(at - from, layer.lengthTicks) < length),
  }));
}

/** The skeleton: every stroke without its ornament. */
export function withoutOrnaments(layers: readonly Layer[]): readonly Layer[] {
  return layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes.map(({ ornament: _, ...stroke }) => stroke),
  }));
}

/** Grace notes as notes of their own, a slot before their main note and from each other, over the seam
 * too: an ornament slowed down. There are as many as before: what another part has for that limb there
 * gives way; where the part itself has a note of it there already, that one is the grace note.
 * @example a flam on 4 of 16ths, opened in 16ths // => the other hand on 3
 * @example a four-stroke ruff by L on 0 of 16, in 16ths // => R on 13, L on 14, R on 15, L on 0 */
export function openGraces(layers: readonly Layer[], slot: Tick, added: AddedBy): readonly Layer[] {
  const length = layers[0]?.lengthTicks ?? slot;
  const swings = swingOfSlot(slot);
  const opened = layers.map((layer) => {
    const graces = layer.strokes.flatMap((main) =>
      gracesOf(main).map((limb, index): Stroke => {
        const at = tick(wrap(main.at - (index + 1) * slot, length));
        const { voice } = main;
        const from = { source: 'added', by: 'graces' } as const;
        return { at, slot, ...(swings && { swings }), limb, voice, dynamic: 'ghost', from };
      }),
    );
    return { layer, graces };
  });
  const settled = opened.map(({ layer }) => {
    const others = new Set(
      opened.flatMap((one) => (one.layer === layer ? [] : one.graces.map(instant))),
    );
    const strokes = layer.strokes.flatMap((stroke) => {
      if (others.has(instant(stroke))) return [];
      const { ornament: _, graceMs: __, ...plain } = stroke;
      return [gracesOf(stroke).length > 0 ? plain : stroke];
    });
    return { ...layer, strokes };
  });
  const fresh = opened.flatMap(({ layer, graces }) => {
    const own = new Set(layer.strokes.map(instant));
    return graces.filter((grace) => !own.has(instant(grace)));
  });
  return addStrokes(settled, added, fresh);
}

function instant({ at, limb }: Stroke): string {
  return `${at} ${limb}`;
}

/** Grace notes nearer to their main note and each other, or wider. @param ms from one to the next */
export function widenGraces(layers: readonly Layer[], ms: number): readonly Layer[] {
  return layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes.map((stroke) =>
      gracesOf(stroke).length > 0 ? { ...stroke, graceMs: ms } : stroke,
    ),
  }));
}
