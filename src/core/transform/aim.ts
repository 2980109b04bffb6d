import { inTimeOrder, loopLayer, type Layer } from '../pattern';
import { lcm, tick, wrap, type Tick } from '../time';

export interface Aim {
  /** Length of the whole, in bars. */
  readonly bars: number;
  /** How often the phrase is played, back to back. */
  readonly times: number;
  /** Where it lands, in ticks after the end of the whole; negative is before it. */
  readonly landsTicks: number;
  /** What lands there: the phrase's end, or its last note. */
  readonly by: 'end' | 'last note';
  /** What the ostinato does under the phrase. */
  readonly over: 'goes on' | 'rests';
}

/** Bars that a phrase needs when it is played so often. */
function barsNeeded(phrase: Layer, times: number, barTicks: Tick): number {
  return Math.ceil(((phrase.ownTicks ?? phrase.lengthTicks) * times) / barTicks);
}

/** So many bars of groove, then the phrase, placed backwards from where it lands; what lands after
 * the end wraps to the start. Never shorter than the phrase itself.
 * @example a one-bar ruff whose last note is to fall on beat 1 starts before the bar line */
export function aimPhrase(layers: readonly Layer[], aim: Aim, barTicks: Tick): readonly Layer[] {
  const phrase = layers.find((layer) => layer.role === 'line');
  if (!phrase || phrase.strokes.length === 0) return layers;
  const own = phrase.ownTicks ?? phrase.lengthTicks;
  const strokes = phrase.strokes.filter((stroke) => stroke.at < own);
  const bars = Math.max(aim.bars, barsNeeded(phrase, aim.times, barTicks));
  const length = tick(bars * barTicks);
  const tail = aim.by === 'end' ? 0 : own - (strokes.at(-1)?.at ?? 0);
  const start = length + aim.landsTicks + tail - own * aim.times;
  const placed: Layer = {
    role: 'line',
    name: phrase.name,
    lengthTicks: length,
    strokes: Array.from({ length: aim.times }, (_, pass) =>
      strokes.map((stroke) => ({
        ...stroke,
        at: tick(wrap(start + pass * own + stroke.at, length)),
      })),
    )
      .flat()
      .sort(inTimeOrder),
  };
  const under = (at: number) => wrap(at - start, length) < own * aim.times;
  return layers.map((layer) => {
    if (layer === phrase) return placed;
    if (aim.over === 'goes on') return layer;
    const whole = loopLayer(layer, tick(lcm(layer.lengthTicks, length)));
    return { ...whole, strokes: whole.strokes.filter(({ at }) => !under(at)) };
  });
}
