import { isHand, type Limb } from '../kit';
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
 * too: an ornament slowed down. A grace note is left out where its hand plays already.
 * @example a flam on 4 of 16ths, opened in 16ths // => the other hand on 3 */
export function openGraces(layers: readonly Layer[], slot: Tick, added: AddedBy): readonly Layer[] {
  const length = layers[0]?.lengthTicks ?? slot;
  const all = layers.flatMap((layer) => layer.strokes);
  const busy = new Set(all.map(({ at, limb }) => `${at} ${limb}`));
  const swings = swingOfSlot(slot);
  const graces = all.flatMap((main): Stroke[] =>
    (isHand(main.limb) ? gracesOf(main) : []).flatMap((limb, index): Stroke[] => {
      const at = tick(wrap(main.at - (index + 1) * slot, length));
      if (busy.has(`${at} ${limb}`)) return [];
      const { voice } = main;
      const written = { at, slot, ...(swings && { swings }) };
      return [
        { ...written, limb, voice, dynamic: 'ghost', from: { source: 'added', by: 'graces' } },
      ];
    }),
  );
  const opened = layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes.map((stroke) => {
      const { ornament: _, ...plain } = stroke;
      return gracesOf(stroke).length > 0 ? plain : stroke;
    }),
  }));
  return addStrokes(opened, added, graces);
}
