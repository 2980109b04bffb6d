import type { Limb } from '../kit';
import { loopLayer, type Layer, type Stroke } from '../pattern';
import { gcd, quarters, SUBDIVISIONS, tick, TICKS_PER_QUARTER, type Tick } from '../time';
import { FOOTINGS } from './data';

export type Footing = (typeof FOOTINGS)[number];

/** The coarsest grid that footing counts in: on 8ths alone the right foot plays everything. */
const SIXTEENTH = quarters(1, 4);

/** A bass drum, and the slot in which its stretch is counted. */
interface Kick {
  readonly at: number;
  readonly slot: number;
}

interface Kicks {
  readonly all: readonly Kick[];
  readonly lengthTicks: number;
}

/** Gives the bass drum of layers that loop together to both feet of a double pedal. Each stretch of one
 * subdivision is counted in its own slots.
 * By the grid the right foot has every other slot: in 16ths the 8ths, the left "e" and "a"; in triplets
 * the feet alternate strictly from where the stretch begins. By groups they alternate within each
 * unbroken group, the loop seam included; a group is unbroken where the next note lies no further than
 * the slot of the one before. Where an odd number of slots makes the feet change roles, the layers
 * double, so that the cycle is whole.
 * @param layers all of one length
 * @example bass drums on slots 3 and 4 of 16: `l r` by the grid, `r l` by groups */
export function footLayers(layers: readonly Layer[], school: Footing): readonly Layer[] {
  const once = kicksOf(layers);
  const two = needsTwo(once, school);
  const feet = (school === 'grid' ? byGrid : byGroups)(two ? twice(once) : once);
  return layers.map((layer) => {
    const whole = two ? loopLayer(layer, tick(layer.lengthTicks * 2)) : layer;
    const strokes = whole.strokes.map((stroke): Stroke => {
      const foot = stroke.voice === 'bass' ? feet.get(stroke.at) : undefined;
      if (foot === undefined || foot === stroke.limb) return stroke;
      return { ...stroke, limb: foot, written: { limb: stroke.limb, voice: stroke.voice } };
    });
    return { ...whole, strokes };
  });
}

/** All bass drums together: a foot knows no ostinato and no line. One that is written in no slot, or was
 * moved off its own, is counted in the coarsest that holds it. */
function kicksOf(layers: readonly Layer[]): Kicks {
  const lengthTicks = layers[0]?.lengthTicks ?? SIXTEENTH;
  const found = new Map<number, number>();
  for (const { voice, at, slot } of layers.flatMap((layer) => layer.strokes)) {
    if (voice !== 'bass') continue;
    const own = slot !== undefined && at % slot === 0 ? slot : slotHolding(at);
    const counted = own % SIXTEENTH === 0 ? SIXTEENTH : own;
    found.set(at, Math.min(counted, found.get(at) ?? counted));
  }
  const all = [...found].map(([at, slot]) => ({ at, slot })).sort((a, b) => a.at - b.at);
  return { all, lengthTicks };
}

function slotHolding(at: number): number {
  const found = SUBDIVISIONS.filter((one) => one.slotTicks <= SIXTEENTH || one.id === '8t');
  return found.find(({ slotTicks }) => at % slotTicks === 0)?.slotTicks ?? gcd(at, SIXTEENTH);
}

function twice({ all, lengthTicks }: Kicks): Kicks {
  const again = all.map((kick) => ({ ...kick, at: kick.at + lengthTicks }));
  return { all: [...all, ...again], lengthTicks: lengthTicks * 2 };
}

/** Whether the feet change roles from one time round to the next. */
function needsTwo(kicks: Kicks, school: Footing): boolean {
  const { all, lengthTicks } = kicks;
  if (school === 'groups') {
    return all.length % 2 === 1 && all.length > 1 && groupStarts(kicks).length === 0;
  }
  const [first] = all;
  const alike = first !== undefined && all.every(({ slot }) => slot === first.slot);
  return alike && (lengthTicks / first.slot) % 2 === 1;
}

/** The foot by the slot: counted from the start of the cycle where all is one stretch or a stretch of
 * 16ths or finer, which every beat holds evenly; else from the beat in which the stretch begins. */
function byGrid({ all }: Kicks): Map<number, Limb> {
  const feet = new Map<number, Limb>();
  let from = 0;
  let before = all[0]?.slot;
  for (const { at, slot } of all) {
    if (slot !== before) from = SIXTEENTH % slot === 0 ? 0 : at - (at % TICKS_PER_QUARTER);
    before = slot;
    feet.set(at, Math.floor((at - from) / slot) % 2 === 0 ? 'RF' : 'LF');
  }
  return feet;
}

/** Bass drums that the one before, over the seam too, does not lead into. */
function groupStarts({ all, lengthTicks }: Kicks): readonly Kick[] {
  return all.filter((kick, index) => {
    const before = all[index - 1] ?? all.at(-1) ?? kick;
    const gap = kick.at - before.at + (index === 0 ? lengthTicks : 0);
    return gap > before.slot;
  });
}

function byGroups(kicks: Kicks): Map<number, Limb> {
  const { all } = kicks;
  const starts = groupStarts(kicks);
  const feet = new Map<number, Limb>();
  const from = Math.max(0, starts[0] ? all.indexOf(starts[0]) : 0);
  let inGroup = 0;
  for (let step = 0; step < all.length; step += 1) {
    const kick = all[(from + step) % all.length];
    if (!kick) continue;
    inGroup = starts.includes(kick) ? 0 : inGroup;
    feet.set(kick.at, inGroup % 2 === 0 ? 'RF' : 'LF');
    inGroup += 1;
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
  const once = kicksOf(layers);
  const whole = needsTwo(once, 'grid') || needsTwo(once, 'groups') ? twice(once) : once;
  const grid = byGrid(whole);
  const groups = byGroups(whole);
  return whole.all.flatMap(({ at }): FootingDifference[] => {
    const one = grid.get(at);
    const other = groups.get(at);
    return one && other && one !== other ? [{ at: tick(at), byGrid: one, byGroups: other }] : [];
  });
}
