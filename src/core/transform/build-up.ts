import type { Limb } from '../kit';
import { type AddedBy, gracesOf, type Layer, type Stroke } from '../pattern';
import { SUBDIVISIONS, swingOfSlot, tick, wrap, type Tick } from '../time';
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
 * gives way; where a hand of theirs has just played, they lie closer, in slots that there is room for.
 * @example a flam on 4 of 16ths, opened in 16ths // => the other hand on 3
 * @example a four-stroke ruff by L on 0 of 16, in 16ths // => R on 13, L on 14, R on 15, L on 0 */
export function openGraces(layers: readonly Layer[], slot: Tick, added: AddedBy): readonly Layer[] {
  const length = layers[0]?.lengthTicks ?? slot;
  const opened = layers.map((layer) => {
    const graces = layer.strokes.flatMap((main) => {
      const width = graceSlot(layer, main, slot);
      const swings = swingOfSlot(width);
      return gracesOf(main).map((limb, index): Stroke => {
        const at = tick(wrap(main.at - (index + 1) * width, length));
        const { voice } = main;
        const from = { source: 'added', by: 'graces' } as const;
        return { at, slot: width, ...(swings && { swings }), limb, voice, dynamic: 'ghost', from };
      });
    });
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
  return addStrokes(
    settled,
    added,
    opened.flatMap(({ graces }) => graces),
  );
}

/** Places of main notes whose grace notes have no room in these slots: opened, they lie closer. */
export function crowdedGraces(layers: readonly Layer[], slot: Tick): readonly Tick[] {
  const places = layers.flatMap((layer) =>
    layer.strokes.flatMap((main) => (graceSlot(layer, main, slot) === slot ? [] : [main.at])),
  );
  return [...new Set(places)].toSorted((a, b) => a - b);
}

/** The slots that the grace notes of a note are opened in: those asked for where there is room since one of
 * their hands played last in this part, else the widest that fit; even ones where no grid is fine enough. */
function graceSlot({ strokes, lengthTicks }: Layer, main: Stroke, slot: Tick): Tick {
  const graces = gracesOf(main);
  if (graces.length === 0) return slot;
  const room = Math.min(
    lengthTicks,
    ...strokes.flatMap((stroke) => {
      const plays =
        graces.includes(stroke.limb) || gracesOf(stroke).some((one) => graces.includes(one));
      return plays && stroke.at !== main.at ? [wrap(main.at - stroke.at, lengthTicks)] : [];
    }),
  );
  const fits = (width: number) => graces.length * width < room;
  const widths = [slot, ...SUBDIVISIONS.map((one) => one.slotTicks).filter((one) => one < slot)];
  return widths.find(fits) ?? tick(Math.max(1, Math.floor(room / (graces.length + 1))));
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
