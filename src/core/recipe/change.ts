import { unreachable } from '../issue';
import { isHand, mirrorHand, mirrorLimb, type Limb } from '../kit';
import { parseGrid, type Layer, type Stroke } from '../pattern';
import { slotTicks, tick, writtenSwing, type Feel, type Meter, type Tick } from '../time';
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
  withoutOrnaments,
} from '../transform';
import type { Change } from './schema';
import { sayChange } from './say-change';

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
export function changeLayer(layer: Layer, change: LayerChange, meter: Meter): Layer {
  if (change.part !== 'all' && change.part !== layer.role) return layer;
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
      return revoice(layer, change.from, change.to);
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
  { meter, barTicks, feel }: Frame,
): { readonly layers: readonly Layer[]; readonly stale: number } {
  const name = sayChange(change);
  const mine = (layer: Layer) =>
    !('part' in change) || change.part === 'all' || change.part === layer.role;
  switch (change.kind) {
    case 'every-nth':
      return { layers: everyNth(layers, change, meter, name), stale: 0 };
    case 'place':
      return { layers: placeStrokes(layers, change, feel, name), stale: 0 };
    case 'thicken':
      return { layers: thicken(layers, change, slotTicks(change.slot), name), stale: 0 };
    case 'turn':
      return { layers: turnVoices(layers, change, mine), stale: 0 };
    case 'orchestrate':
      return { layers: orchestrate(layers, change, mine, meter), stale: 0 };
    case 'aim': {
      const landsTicks = change.lands * slotTicks(change.slot);
      return { layers: aimPhrase(layers, { ...change, landsTicks }, barTicks), stale: 0 };
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
      return { layers: openGraces(layers, slotTicks(change.slot), name), stale: 0 };
    case 'hand':
      return editStrokes(layers, change.edits, tick(change.length), name);
    default:
      return unreachable(change);
  }
}

/** A placement goes round through the cycle; where it does not come out even, the cycle grows. */
function placeStrokes(
  layers: readonly Layer[],
  change: Extract<Change, { kind: 'place' }>,
  feel: Feel,
  name: string,
): readonly Layer[] {
  const slots = parseGrid(change.grid);
  if (!slots.ok) return layers;
  const width = slotTicks(change.slot);
  const lengthTicks = tick(slots.value.length * width);
  const strokes = slots.value.flatMap((dynamic, slot): Stroke[] => {
    if (dynamic === null) return [];
    const at = tick(Math.round(writtenSwing(tick(slot * width), feel)));
    return [{ at, ...change.to, dynamic, from: { source: 'added', by: 'place' } }];
  });
  return addStrokes(layers, name, strokes, lengthTicks);
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
