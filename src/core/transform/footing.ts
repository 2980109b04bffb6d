import type { Limb } from '../kit';
import { gridOf, inTimeOrder, loopLayer, type Layer, type Stroke } from '../pattern';
import { quarters, tick, type Tick } from '../time';

/** Two schools of footing on a double pedal. `grid`: the place decides. `groups`: the right foot
 * leads every unbroken group. */
export const FOOTINGS = ['grid', 'groups'] as const;
export type Footing = (typeof FOOTINGS)[number];

/** The coarsest grid that footing counts in: on 8ths alone the right foot plays everything. */
const SIXTEENTH = quarters(1, 4);

/** Gives the bass drum of layers that loop together to both feet of a double pedal.
 * By the grid the right foot has every other slot from the start: 8ths, the left "e" and "a"; in
 * triplets the feet alternate strictly. By groups they alternate within each unbroken group, the
 * loop seam included. Where an odd number of slots makes the feet change roles, the layers double, so
 * that the cycle is whole.
 * @param layers all of one length
 * @example bass drums on slots 3 and 4 of 16: `l r` by the grid, `r l` by groups */
export function footLayers(layers: readonly Layer[], school: Footing): readonly Layer[] {
  const all = joined(layers);
  const slot = footSlot(all);
  const two = needsTwo(all, school, slot);
  const feet = (school === 'grid' ? byGrid : byGroups)(two ? doubled(all) : all, slot);
  return layers.map((layer) => {
    const whole = two ? doubled(layer) : layer;
    const strokes = whole.strokes.map((stroke): Stroke => {
      const foot = stroke.voice === 'bass' ? feet.get(stroke.at) : undefined;
      if (foot === undefined || foot === stroke.limb) return stroke;
      return { ...stroke, limb: foot, written: { limb: stroke.limb, voice: stroke.voice } };
    });
    return { ...whole, strokes };
  });
}

/** All bass drums as one layer: a foot knows no ostinato and no line. */
function joined(layers: readonly Layer[]): Layer {
  const strokes = layers.flatMap((layer) => layer.strokes.filter((one) => one.voice === 'bass'));
  return {
    role: 'line',
    name: '',
    lengthTicks: layers[0]?.lengthTicks ?? SIXTEENTH,
    strokes: strokes.sort(inTimeOrder),
  };
}

function bassPlaces(layer: Layer): readonly number[] {
  const places = layer.strokes.filter((stroke) => stroke.voice === 'bass').map((one) => one.at);
  return [...new Set(places)];
}

function footSlot(layer: Layer): number {
  const bass = layer.strokes.filter((stroke) => stroke.voice === 'bass');
  const grid = gridOf(bass, layer.lengthTicks);
  return grid % SIXTEENTH === 0 ? SIXTEENTH : grid;
}

function needsTwo(layer: Layer, school: Footing, slot: number): boolean {
  const slots = layer.lengthTicks / slot;
  const full = bassPlaces(layer).length === slots;
  return slots % 2 === 1 && (school === 'grid' || full);
}

function doubled(layer: Layer): Layer {
  return loopLayer(layer, tick(layer.lengthTicks * 2));
}

function byGrid(layer: Layer, slot: number): Map<number, Limb> {
  return new Map(bassPlaces(layer).map((at) => [at, (at / slot) % 2 === 0 ? 'RF' : 'LF']));
}

function byGroups(layer: Layer, slot: number): Map<number, Limb> {
  const places = bassPlaces(layer);
  const before = (at: number) => (at === 0 ? layer.lengthTicks : at) - slot;
  const starts = places.filter((at) => !places.includes(before(at)));
  const feet = new Map<number, Limb>();
  for (const start of starts.length > 0 ? starts : places.slice(0, 1)) {
    let at = start;
    for (let n = 0; places.includes(at) && !feet.has(at); n += 1) {
      feet.set(at, n % 2 === 0 ? 'RF' : 'LF');
      at = (at + slot) % layer.lengthTicks;
    }
  }
  return feet;
}

/** A bass drum that the two schools give to different feet. */
export interface FootingDifference {
  /** Within the longer of the two cycles. */
  readonly at: Tick;
  readonly byGrid: Limb;
  readonly byGroups: Limb;
}

/** Where the two schools differ, in order of time. @param layers all of one length */
export function footingDifferences(layers: readonly Layer[]): readonly FootingDifference[] {
  const layer = joined(layers);
  const slot = footSlot(layer);
  const whole = needsTwo(layer, 'grid', slot) ? doubled(layer) : layer;
  const grid = byGrid(whole, slot);
  const groups = byGroups(whole, slot);
  return bassPlaces(whole).flatMap((at): FootingDifference[] => {
    const one = grid.get(at);
    const other = groups.get(at);
    return one && other && one !== other ? [{ at: tick(at), byGrid: one, byGroups: other }] : [];
  });
}
