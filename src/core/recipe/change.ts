import { unreachable } from '../issue';
import { isHand, mirrorHand, mirrorLimb, type Limb } from '../kit';
import {
  commonCycle,
  loopLayer,
  moveStrokes,
  parseGrid,
  type Layer,
  type Stroke,
} from '../pattern';
import {
  isBinarySlot,
  slotTicks,
  swingOfSlot,
  tick,
  pairedNote,
  unwrittenSwing,
  writtenSwing,
  type Feel,
  type Meter,
  type SubdivisionId,
  type Tick,
} from '../time';
import {
  addStrokes,
  aimPhrase,
  displaceAccents,
  displacePattern,
  displaceSticking,
  editStrokes,
  everyNth,
  excerpt,
  giveTo,
  landsTicks,
  mirrorHands,
  mirrorLimbs,
  onlyLimbs,
  openGraces,
  orchestrate,
  pushStroke,
  reverseLayer,
  revoice,
  substitute,
  swapFeet,
  thicken,
  thin,
  turnVoices,
  widenGraces,
  withoutOrnaments,
  type Change,
} from '../transform';

/** Changes that look at all layers in one cycle. */
const WHOLE = [
  'turn',
  'every-nth',
  'place',
  'thicken',
  'orchestrate',
  'aim',
  'only',
  'excerpt',
  'plain',
  'open-graces',
  'grace-width',
  'hand',
] as const;

type WholeChange = Extract<Change, { kind: (typeof WHOLE)[number] }>;
type LayerChange = Exclude<Change, WholeChange>;

export function isWholeChange(change: Change): change is WholeChange {
  return WHOLE.some((kind) => kind === change.kind);
}

export function isLayerChange(change: Change): change is LayerChange {
  return !isWholeChange(change);
}

/** Changes one layer, where it belongs to the part that is meant. Footing waits for the end. */
export function changeLayer(
  layer: Layer,
  change: LayerChange,
  frame: Pick<Frame, 'meter' | 'feel'>,
): Layer {
  if (change.part !== 'all' && change.part !== layer.role) return layer;
  if (!('slot' in change)) return changeOne(layer, change, frame.meter);
  const [changed] = inSlots([layer], change.slot, frame, (layers) =>
    layers.map((one) => changeOne(one, change, frame.meter)),
  );
  return changed ?? layer;
}

function changeOne(layer: Layer, change: LayerChange, meter: Meter): Layer {
  switch (change.kind) {
    case 'displace': {
      const ticks = change.by * slotTicks(change.slot);
      if (change.what === 'pattern') return displacePattern(layer, ticks);
      if (change.what === 'accents') return displaceAccents(layer, ticks);
      return displaceSticking(layer, change.by);
    }
    case 'mirror':
      return change.what === 'hands' ? mirrorHands(layer) : mirrorLimbs(layer);
    case 'reverse':
      return reverseLayer(layer, slotTicks(change.slot));
    case 'push': {
      const places = [...new Set(layer.strokes.map((stroke) => stroke.at))];
      const at = places[(change.note - 1) % places.length];
      const earlier = tick(change.by * slotTicks(change.slot));
      return at === undefined ? layer : pushStroke(layer, at, earlier);
    }
    case 'swap-feet':
      return swapFeet(layer);
    case 'footing':
      return layer;
    case 'give':
      return giveTo(layer, change.from, change.to);
    case 'revoice':
      return revoice(layer, change.from, change.to, change.limb);
    case 'substitute':
      return substitute(layer, change);
    case 'thin':
      return thin(layer, change.limb, change.keep, meter);
    default:
      return unreachable(change);
  }
}

export interface Frame {
  readonly meter: Meter;
  readonly barTicks: Tick;
  readonly feel: Feel;
}

/** Changes layers that loop together; some make their cycle longer.
 * @returns `stale`: hand edits whose stroke is not there any more */
export function changeWhole(
  layers: readonly Layer[],
  change: WholeChange,
  frame: Frame,
): { readonly layers: readonly Layer[]; readonly stale: number } {
  let stale = 0;
  const work = (all: readonly Layer[]) => {
    const changed = changeAll(all, change, frame);
    stale = changed.stale;
    return changed.layers;
  };
  const changed = 'slot' in change ? inSlots(layers, change.slot, frame, work) : work(layers);
  return { layers: changed, stale };
}

function changeAll(
  layers: readonly Layer[],
  change: WholeChange,
  { meter, barTicks }: Frame,
): { readonly layers: readonly Layer[]; readonly stale: number } {
  const mine = (layer: Layer) =>
    !('part' in change) || change.part === 'all' || change.part === layer.role;
  switch (change.kind) {
    case 'every-nth':
      return { layers: everyNth(layers, change, change), stale: 0 };
    case 'place':
      return { layers: placeStrokes(layers, change), stale: 0 };
    case 'thicken':
      return { layers: thicken(layers, change, slotTicks(change.slot), change), stale: 0 };
    case 'turn':
      return { layers: turnVoices(layers, change, mine), stale: 0 };
    case 'orchestrate':
      return { layers: orchestrate(layers, change, mine, meter), stale: 0 };
    case 'aim': {
      const aim = { ...change, landsTicks: landsTicks(change, meter) };
      return { layers: aimPhrase(layers, aim, barTicks), stale: 0 };
    }
    case 'only':
      return { layers: onlyLimbs(layers, change.limbs), stale: 0 };
    case 'excerpt': {
      const slot = slotTicks(change.slot);
      const [from, length] = [tick(change.from * slot), tick(change.slots * slot)];
      return { layers: excerpt(layers, from, length), stale: 0 };
    }
    case 'plain':
      return { layers: withoutOrnaments(layers), stale: 0 };
    case 'open-graces':
      return { layers: openGraces(layers, slotTicks(change.slot), change), stale: 0 };
    case 'grace-width':
      return { layers: widenGraces(layers, change.ms), stale: 0 };
    case 'hand':
      return editStrokes(layers, change.edits, tick(change.length), change);
    default:
      return unreachable(change);
  }
}

/** A placement goes round through the cycle; where it does not come out even, the cycle grows. */
function placeStrokes(
  layers: readonly Layer[],
  change: Extract<Change, { kind: 'place' }>,
): readonly Layer[] {
  const slots = parseGrid(change.grid);
  if (!slots.ok) return layers;
  const width = slotTicks(change.slot);
  const lengthTicks = tick(slots.value.length * width);
  const swings = swingOfSlot(width);
  const strokes = slots.value.flatMap((dynamic, slot): Stroke[] => {
    if (dynamic === null) return [];
    const written = { at: tick(slot * width), slot: width, ...(swings && { swings }) };
    return [{ ...written, ...change.to, dynamic, from: { source: 'added', by: 'place' } }];
  });
  return addStrokes(layers, change, strokes, lengthTicks);
}

/** Changes layers in the slots of a change. Where a swing is written in triplets, 8ths and 16ths are
 * counted where they were meant, triplets where they are written. */
function inSlots(
  layers: readonly Layer[],
  slot: SubdivisionId,
  { meter, feel }: Pick<Frame, 'meter' | 'feel'>,
  work: (layers: readonly Layer[]) => readonly Layer[],
): readonly Layer[] {
  if (feel.kind !== 'triplets' || !isBinarySlot(slotTicks(slot))) return work(layers);
  const meant = layers.map((layer) =>
    moveStrokes(layer, ({ at, swings }) => unwrittenSwing(at, feel, meter, swings)),
  );
  return work(meant).map((layer) => writeSwing(layer, feel, meter));
}

/** Writes a swing in triplets where the feel says so. A part that is no whole counted notes lies otherwise
 * each time round, so it is looped until it is. */
export function writeSwing(part: Layer, feel: Feel, meter: Meter): Layer {
  if (feel.kind !== 'triplets') return part;
  const layer = loopLayer(part, commonCycle([part.lengthTicks, pairedNote(meter)]));
  return moveStrokes(layer, ({ at, swings }) => writtenSwing(at, feel, meter, swings));
}

/** A line that other limbs play needs those limbs. */
export function moveClaims(claims: readonly Limb[], change: Change): readonly Limb[] {
  if (!('part' in change) || change.part === 'over') return claims;
  switch (change.kind) {
    case 'mirror':
      return claims.map(change.what === 'hands' ? mirrorHand : mirrorLimb);
    case 'swap-feet':
      return claims.map((limb) => (isHand(limb) ? limb : mirrorLimb(limb)));
    case 'give':
      return [...new Set(claims.map((limb) => (limb === change.from ? change.to.limb : limb)))];
    case 'substitute':
      return [...new Set([...claims, change.to.limb])];
    default:
      return claims;
  }
}
