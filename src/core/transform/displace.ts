import {
  asTail,
  moveStrokes,
  rotateSlots,
  shiftLayer,
  type Dynamic,
  type Layer,
  type Stroke,
} from '../pattern';
import { tick, wrap, type Tick } from '../time';

/** Moves a whole layer later (earlier when negative), cyclically within its own length.
 * @example x--- displaced by one slot // => -x-- */
export function displacePattern(layer: Layer, by: number): Layer {
  return shiftLayer(layer, by);
}

/** Moves the accents alone: hands and notes stay, each accent goes to the stroke that lies `by` ticks
 * later. The stroke that loses its accent takes the dynamic of the one that wins it, or of the nearest
 * one that has none where that is an accent, too. An accent that falls where no stroke is, is lost;
 * `lostAccents` says where.
 * @example RLRRLRLL accented on 0 and 4, by one // => accents on 1 and 5, hands as before */
export function displaceAccents(layer: Layer, by: number): Layer {
  const { strokes, lengthTicks } = layer;
  const accented = strokes.filter(({ dynamic }) => dynamic === 'accent');
  if (accented.length === 0) return layer;
  const places = new Set(accented.map(({ at }) => wrap(at + by, lengthTicks)));
  const played = new Set<number>(strokes.map(({ at }) => at));
  const soft = strokes.find(({ dynamic }) => dynamic !== 'accent')?.dynamic ?? 'normal';
  const before = new Map<number, Dynamic>();
  for (const { at, dynamic } of strokes) if (dynamic !== 'accent') before.set(at, dynamic);
  const moved = strokes.map((stroke): Stroke => {
    if (places.has(stroke.at)) return louder(stroke);
    if (stroke.dynamic !== 'accent') return stroke;
    return { ...stroke, dynamic: before.get(wrap(stroke.at + by, lengthTicks)) ?? soft };
  });
  const lost = [...places].filter((at) => !played.has(at)).map(tick);
  const lostAccents = [...(layer.lostAccents ?? []), ...lost];
  return { ...layer, strokes: moved, ...(lostAccents.length > 0 && { lostAccents }) };
}

function louder(stroke: Stroke): Stroke {
  return stroke.dynamic === 'accent' ? stroke : { ...stroke, dynamic: 'accent' };
}

/** Moves the sticking alone by strokes: rhythm and accents stay, the limbs (with what they
 * sound) go round in order of time. Meant for layers that play one limb at a time.
 * @example RLRRLRLL by one // => LRLRRLRL */
export function displaceSticking(layer: Layer, by: number): Layer {
  const turned = rotateSlots(layer.strokes, by);
  const strokes = layer.strokes.map((stroke, index) => {
    const from = turned[index] ?? stroke;
    return { ...stroke, limb: from.limb, voice: from.voice };
  });
  return { ...layer, strokes };
}

/** Moves one stroke earlier, perhaps over the bar line or the seam.
 * @param at where the stroke lies  @param earlier ticks, positive
 * @example beat 1 of bar 2 pushed by a 16th // => the "a" of 4 before it */
export function pushStroke(layer: Layer, at: Tick, earlier: Tick): Layer {
  const pushed = layer.strokes.map((stroke) =>
    stroke.at === at && at < earlier ? asTail(stroke, false) : stroke,
  );
  return moveStrokes({ ...layer, strokes: pushed }, (stroke) =>
    stroke.at === at ? stroke.at - earlier : stroke.at,
  );
}
