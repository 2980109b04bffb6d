import { moveStrokes, rotateSlots, type Layer } from '../pattern';
import { wrap, type Tick } from '../time';

/** Moves a whole layer later (earlier when negative), cyclically within its own length.
 * @example x--- displaced by one slot // => -x-- */
export function displacePattern(layer: Layer, by: number): Layer {
  return moveStrokes(layer, (stroke) => stroke.at + by);
}

/** Moves the accents alone: hands and notes stay, each accent goes to the stroke that lies `by`
 * ticks later, or to the next one after it. The stroke that loses its accent takes the dynamic
 * of the one that wins it.
 * @example RLRRLRLL accented on 0 and 4, by one // => accents on 1 and 5, hands as before */
export function displaceAccents(layer: Layer, by: number): Layer {
  const dynamics = layer.strokes.map((stroke) => stroke.dynamic);
  const accents = dynamics.flatMap((dynamic, index) => (dynamic === 'accent' ? [index] : []));
  const landings = accents.map((index) => {
    const place = wrap((layer.strokes[index]?.at ?? 0) + by, layer.lengthTicks);
    return Math.max(
      0,
      layer.strokes.findIndex((stroke) => stroke.at >= place),
    );
  });
  const moved = [...dynamics];
  accents.forEach((index, nth) => {
    const displaced = dynamics[landings[nth] ?? index] ?? 'normal';
    moved[index] = displaced === 'accent' ? 'normal' : displaced;
  });
  for (const landing of landings) moved[landing] = 'accent';
  const strokes = layer.strokes.map((stroke, index) => ({
    ...stroke,
    dynamic: moved[index] ?? stroke.dynamic,
  }));
  return { ...layer, strokes };
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
  return moveStrokes(layer, (stroke) => (stroke.at === at ? stroke.at - earlier : stroke.at));
}
